/** Drives that the bench does not reckon, each with the nearest thing that it does. */
export const NOT_HERE: readonly { what: string; nearest: string }[] = [
  {
    what: 'A rack and pinion',
    nearest:
      'its motor and gearing, tried as a screw whose lead is the way of the slide for one turn of the pinion, on a belt of the ratio of the gearing: torque, inertia and steps come out; whip, buckling, life and play of such a screw mean nothing for it.',
  },
  {
    what: 'A toothed belt as the drive',
    nearest:
      'the same with the way for one turn of the pulley as the lead. How far the belt itself gives is not in it, and on a long belt that is most of it.',
  },
  {
    what: 'Two motors at the ends of one screw',
    nearest:
      'one motor of your own list with twice the torque and twice the inertia of its rotor: torque and inertia come out, the twist of the screw is said too large.',
  },
]
