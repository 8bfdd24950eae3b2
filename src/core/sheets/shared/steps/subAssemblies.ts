/** What an axis is put together from, each with what must be whole before it is begun. */
export const SUB_ASSEMBLIES = {
  apart: { title: 'Take apart', after: [] },
  block: { title: 'Bearing block', after: [] },
  screwNut: { title: 'Screw and nut', after: [] },
  ways: { title: 'Slide on its ways', after: ['apart'] },
  casting: { title: 'Casting side', after: ['apart', 'block', 'screwNut', 'ways'] },
  setTrue: { title: 'Set true', after: ['casting'] },
  square: { title: 'Both screws together', after: ['setTrue'] },
  motor: { title: 'Motor side', after: ['setTrue'] },
  wiring: { title: 'Switches and cables', after: ['apart'] },
  moves: { title: 'First moves', after: ['square', 'motor', 'wiring'] },
  proof: { title: 'Proof', after: ['moves'] },
  final: { title: 'Final assembly and covers', after: ['proof'] },
} as const satisfies Record<string, { title: string; after: readonly string[] }>

export type SubAssembly = keyof typeof SUB_ASSEMBLIES
export const SUB_ASSEMBLY_IDS = Object.keys(SUB_ASSEMBLIES) as SubAssembly[]

/** Everything that must be whole before a sub-assembly is begun, however far back. */
export const WHOLE_BEFORE = Object.fromEntries(
  SUB_ASSEMBLY_IDS.map((id): [SubAssembly, ReadonlySet<SubAssembly>] => [id, reach(id)]),
) as { readonly [K in SubAssembly]: ReadonlySet<SubAssembly> }

function reach(id: SubAssembly): Set<SubAssembly> {
  const after: readonly SubAssembly[] = SUB_ASSEMBLIES[id].after
  return new Set(after.flatMap(one => [one, ...reach(one)]))
}
