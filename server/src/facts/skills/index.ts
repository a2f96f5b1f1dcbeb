export { NO_JOBS, jobsDone, type JobsDone } from './jobs-done';
export { carryOver, type EvidenceWords, openSkills, schoolStandings, type SchoolStandings } from './standings';
