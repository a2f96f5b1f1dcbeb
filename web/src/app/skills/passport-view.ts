import type { Output, endpoints } from '@brave-comb/contract';

export type Passport = Output<(typeof endpoints)['passport']>;
export type PassportSkill = Passport['skills'][number];
export type PassportEvidence = PassportSkill['evidence'][number];
