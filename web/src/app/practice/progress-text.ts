import { OF_LATE, type Progress } from '@brave-comb/core/practice';
import { DAY } from '@brave-comb/core/units';

/** "right 7 of 10" of the last answers. */
export const rightText = ({ answers, rightOfLate }: Pick<Progress, 'answers' | 'rightOfLate'>): string => {
  const late = Math.min(OF_LATE, answers);
  return rightOfLate === null ? $localize`not tried` : $localize`right ${Math.round(rightOfLate * late)} of ${late}`;
};

/** When something comes back: "due", "tomorrow", "in 5 days"; "new" for what was never tried. */
export function whenText(due: string | null, now: string): string {
  if (due === null) return $localize`new`;
  const days = Math.ceil((Date.parse(due) - Date.parse(now)) / DAY);
  return days <= 0 ? $localize`due` : days === 1 ? $localize`tomorrow` : $localize`in ${days} days`;
}
