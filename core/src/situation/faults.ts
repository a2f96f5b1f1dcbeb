import type { Text } from '../language';

type Path = readonly (string | number)[];

/** Something in a situation that cannot be, and where it stands. */
export interface SituationFault {
  readonly path: Path;
  readonly says: Text;
}

/** A situation that cannot be judged as it is written; every fault of it is told at once. */
export class UnfitSituation extends RangeError {
  constructor(readonly faults: readonly SituationFault[]) {
    super(`${faults.length} faults`);
    this.name = 'UnfitSituation';
  }
}

/** Faults as they are found. */
export class Faults {
  private readonly found: SituationFault[] = [];
  add(path: Path, says: Text): void {
    this.found.push({ path, says });
  }

  /** @throws UnfitSituation when there is any */
  throwAny(): void {
    if (this.found.length > 0) throw new UnfitSituation(this.found);
  }
}
