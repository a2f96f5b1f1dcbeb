export { NO_ROLES, rolesPlayed, type RolesPlayed } from './roles-played';
export { carryOver, type EvidenceWords, openSkills, schoolStandings, type SchoolStandings } from './standings';
