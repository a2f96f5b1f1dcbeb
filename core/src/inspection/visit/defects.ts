/** What can be wrong with the woodwork, what helps for now, and what the repair needs. */
export interface DefectKind {
  readonly name: string;
  readonly forNow: string;
  readonly bring: string;
}

/** Defects by id. Common practice. */
export const DEFECTS = {
  gap: { name: 'gap between boxes', forNow: 'tape over it', bring: 'tape, a box that fits' },
  rot: { name: 'decaying wood', forNow: 'turn it away from the weather', bring: 'a sound part' },
  escape: { name: 'worn escape', forNow: 'use it once more with the worn side taped', bring: 'a new escape' },
  joint: { name: 'loose joint', forNow: 'a strap round it', bring: 'screws and a driver' },
  leak: { name: 'leaking roof', forNow: 'a sheet and a stone', bring: 'a sound roof' },
  frame: { name: 'broken frame', forNow: 'wire it together', bring: 'a spare frame' },
  mesh: { name: 'torn mesh or bent excluder', forNow: 'lay it aside', bring: 'a sound excluder or floor' },
  tight: { name: 'part that fits too tight', forNow: 'leave it off or pare it', bring: 'a plane' },
  stand: { name: 'stand that rocks or sinks', forNow: 'wedge it level', bring: 'wedges and a level' },
} as const satisfies Record<string, DefectKind>;

export type DefectId = keyof typeof DEFECTS;
export const DEFECT_IDS = Object.keys(DEFECTS) as readonly DefectId[];

/** By when it is mended. */
export const REPAIR_BY = ['next-visit', 'two-weeks', 'before-winter'] as const;
export type RepairBy = (typeof REPAIR_BY)[number];
