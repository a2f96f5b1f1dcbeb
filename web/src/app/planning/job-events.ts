import type { PlanJob } from '@brave-comb/contract';
import { endpoints } from '../api/endpoints';
import { Observable } from 'rxjs';

/** A job's server-sent events. Errors when the stream breaks before the job has ended. */
export function jobEvents(id: string): Observable<PlanJob> {
  return new Observable((seen) => {
    const source = new EventSource(endpoints.watchPlanJob.path.replace(':job', id));
    source.onmessage = ({ data }: MessageEvent<string>) => {
      const job = JSON.parse(data) as PlanJob;
      seen.next(job);
      if (job.status !== 'waiting' && job.status !== 'running') seen.complete();
    };
    source.onerror = () => seen.error(new Error('the stream broke'));
    return () => source.close();
  });
}
