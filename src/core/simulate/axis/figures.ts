import type { SCREW_ENDS } from '../../document/kinds'

// What a simulated axis is made of: the figures of a sound one, and what is wrong with it.

/** What lies between the command and the slide: what turns, what holds the screw along, what carries the slide. */
export const LINKS = ['motor', 'coupler', 'block', 'bearing', 'nut', 'bracket'] as const
export type Link = (typeof LINKS)[number]

/** Where an indicator can stand, with the links that lie between it and what stands still. */
export const PLACES = {
  motorHub: ['motor'],
  screwHub: ['motor', 'coupler'],
  block: ['block'],
  screwEnd: ['block', 'bearing'],
  nutFlange: ['motor', 'coupler', 'block', 'bearing', 'nut'],
  slide: LINKS,
} as const satisfies Record<string, readonly Link[]>
export type Place = keyof typeof PLACES

/** One of them: what it loses between its two sides, and what it gives. All as travel of the slide. */
export interface LinkFigures {
  readonly playUm: number
  readonly stiffnessNPerUm: number
}

/** A sound axis, as its job has it. */
export interface AxisFigures {
  readonly spanMm: number
  readonly rootDiameterMm: number
  readonly leadMm: number
  /** Turns of the motor for one of the screw. */
  readonly ratio: number
  readonly ends: (typeof SCREW_ENDS)[number]
  readonly inclineDeg: number
  readonly travelMm: number
  /** Where on the screw, from the fixed block, the nut stands with the slide at 0. */
  readonly nutAtZeroMm: number
  /** 1 where the nut goes away from the fixed block as the slide goes up, -1 where it comes nearer. */
  readonly nutWay: 1 | -1
  readonly links: Readonly<Record<Link, LinkFigures>>
  /** Across the screw: a block on its casting, and the nut in its bracket. */
  readonly blockStiffnessNPerUm: number
  readonly nutStiffnessNPerUm: number
  /** Against rocking: a pair of bearings at an end that is held fixed, and the nut. */
  readonly pairRockingNmPerRad: number
  readonly nutRockingNmPerRad: number
  /** Friction of the ways, gib and wipers along the axis. */
  readonly frictionN: number
  /** So many times more to start than to go on. */
  readonly breakaway: number
  /** What pulls the slide down along an axis that is not level, less its counterbalance; towards 0 positive. */
  readonly weightN: number
  /** Of it what grows with the weight on the ways. */
  readonly frictionCoefficient: number
  /** To turn preload, seals and bearings. */
  readonly dragNm: number
  /** Of it what the preload of the bearings takes, as it should be set. */
  readonly bearingDragNm: number
  /** What a side force on the nut takes to turn, as a lever: friction times the radius of the balls. */
  readonly sideLeverMm: number
  /** None for a servo, which loses no steps unseen. */
  readonly fullStepsPerRev: number | null
  readonly topSpeedMmPerMin: number
}

/** A shift across the screw, as it is read: up, and towards the operator. */
export interface Off {
  readonly heightUm: number
  readonly sideUm: number
}

/** What is wrong with an axis; what is not said is sound. */
export interface Causes {
  /** Off the line of the ways. */
  readonly fixedBlock?: Off
  readonly farBlock?: Off
  readonly nut?: Off
  /** A bow of the screw, largest in its middle, with the angle at which it points up. */
  readonly bow?: { readonly um: number; readonly atDeg: number }
  /** A journal that leaves the fixed block at an angle. */
  readonly kink?: { readonly mrad: number; readonly atDeg: number }
  readonly playUm?: Readonly<Partial<Record<Link, number>>>
  /** So many times less stiff. */
  readonly softer?: Readonly<Partial<Record<Link, number>>>
  readonly leadErrorUmPerM?: number
  /** Once a turn, and at which angle it is largest. */
  readonly wave?: { readonly um: number; readonly atDeg: number }
  /** A ball track that is hurt, felt within a width. */
  readonly track?: { readonly atMm: number; readonly widthMm: number; readonly nm: number }
  readonly gib?: {
    /** Play across the slide beyond what is wanted. */
    readonly playUm?: number
    /** More of it in the middle of the travel, where the ways are worn. */
    readonly wornUm?: number
    /** More friction everywhere. */
    readonly tightN?: number
    /** Friction that changes with the direction: more going up, less going down. */
    readonly walkingN?: number
    /** Tight at one end of the travel, growing over its last third. */
    readonly endN?: number
    readonly end?: 'low' | 'high'
  }
  /** More friction at one end of the travel than in its middle, as much less at the other. */
  readonly waysN?: number
  readonly dragTimes?: number
  readonly coupler?: { readonly wobbleNm: number; readonly atDeg: number }
  /** Growth of the screw as it runs. */
  readonly heat?: { readonly riseK: number; readonly minutes: number }
  /** Whole cycles of the field lost on a move up that is faster: it works harder one way. */
  readonly lost?: { readonly cycles: number; readonly aboveMmPerMin: number }
  /** A hub that slips by so much travel at a reversal of a fast move. */
  readonly slip?: { readonly um: number; readonly aboveMmPerMin: number }
  /** What the controller adds at a reversal. */
  readonly compensatedUm?: number
  /** Steps a millimetre that are set wrong, as a share: 0.01 goes a hundredth too far. */
  readonly scaleOff?: number
  /** A journal that the bearings carry off its middle, or that is turned so for the coupler; its thread runs true. */
  readonly journal?: { readonly at: 'fixed' | 'drive'; readonly um: number }
  /** How far the locknut was turned from no play, as a share of what the preload asks for. */
  readonly locknutTurn?: number
  /** A face that should be square to the screw: how much it leans, where it stands proud, and how far it is no plane. */
  readonly face?: { readonly tiltUmPerMm: number; readonly atDeg: number; readonly warpUm?: number }
  /** The motor's shaft beside the screw's, and at an angle to it: where the hubs stand open. */
  readonly motor?: {
    readonly besideUm: number
    readonly towardsDeg: number
    readonly mrad: number
    readonly openAtDeg: number
  }
  /** What the motor draws its bracket down by. */
  readonly droopUm?: number
  readonly pulleys?: { readonly besideUm: number; readonly tiltUmPerMm: number }
  /** Of a rail beside the one that it should be like: a bow over its length, what it leans by, places that stand proud. */
  readonly rail?: {
    readonly bowUm?: number
    readonly leanUmPerM?: number
    readonly proud?: readonly { readonly atMm: number; readonly um: number }[]
    /** Pushed at these places at once, time after time. */
    readonly set?: readonly (readonly { readonly atMm: number; readonly um: number }[])[]
  }
  /** By how much the axis is out of square to the one that it is held against. */
  readonly squareUmPerM?: number
}
