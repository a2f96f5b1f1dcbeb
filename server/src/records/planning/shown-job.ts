import type { PlanJob } from '@brave-comb/contract';
import type { Sayable } from '@brave-comb/core/language';
import { iso } from '../../dates';
import type { JobRow } from './plan-store';

export function jobView(job: JobRow & { readonly by_name: string }): Sayable<PlanJob> {
  return {
    id: job.id,
    status: job.status,
    askedBy: job.by_name,
    askedAt: iso(job.asked_at),
    seconds: Math.round(job.spent * 10) / 10,
    limit: job.seconds,
    course: JSON.parse(job.course) as PlanJob['course'],
    plan: job.plan === null ? null : (JSON.parse(job.plan) as PlanJob['plan']),
    trouble: job.trouble,
  };
}
