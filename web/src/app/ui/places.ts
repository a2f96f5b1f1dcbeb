/** A screen, as the navigation names it. */
export interface View {
  /** As the route of the page has it. */
  readonly id: string;
  readonly name: string;
  readonly link: string;
  readonly roles?: readonly string[];
}
const STAFF = ['lead', 'supervisor'] as const;
const LEAD = ['lead'] as const;
/** Screens that belong together. */
export interface Place extends View {
  /** Whether it follows the place before it. */
  readonly after?: true;
  readonly views: readonly View[];
}

/** The three moments of a visit follow each other; the other places stand by themselves. */
const PLACES: readonly Place[] = [
  {
    id: 'ahead',
    name: $localize`Ahead`,
    link: '/ahead',
    views: [
      { id: 'day-sheet', name: $localize`Day sheet`, link: '/ahead' },
      { id: 'sessions', name: $localize`Sessions`, link: '/ahead/sessions' },
      { id: 'planner', name: $localize`Planner`, link: '/ahead/planner', roles: STAFF },
      { id: 'season', name: $localize`Season`, link: '/ahead/season' },
      { id: 'dues', name: $localize`To do`, link: '/ahead/dues', roles: STAFF },
      { id: 'forage', name: $localize`Bloom`, link: '/ahead/forage' },
      { id: 'seen', name: $localize`Diary`, link: '/ahead/seen' },
      { id: 'weather', name: $localize`Weather`, link: '/ahead/weather' },
    ],
  },
  {
    id: 'at-the-hive',
    name: $localize`At the hive`,
    after: true,
    link: '/at-the-hive',
    views: [
      { id: 'today', name: $localize`Today`, link: '/at-the-hive' },
      { id: 'live', name: $localize`Live`, link: '/at-the-hive/live', roles: STAFF },
      { id: 'labels', name: $localize`Labels`, link: '/at-the-hive/labels', roles: STAFF },
    ],
  },
  {
    id: 'afterwards',
    name: $localize`Afterwards`,
    after: true,
    link: '/afterwards',
    views: [
      { id: 'visit-review', name: $localize`Visit review`, link: '/afterwards' },
      { id: 'debrief', name: $localize`Debrief`, link: '/afterwards/debrief', roles: STAFF },
      { id: 'questions', name: $localize`Questions`, link: '/afterwards/questions' },
      { id: 'yard-book', name: $localize`Yard book`, link: '/afterwards/yard-book', roles: STAFF },
      { id: 'combs', name: $localize`Comb store`, link: '/afterwards/combs', roles: STAFF },
      { id: 'predictions', name: $localize`Predictions`, link: '/afterwards/predictions' },
    ],
  },
  {
    id: 'colonies',
    name: $localize`Colonies`,
    link: '/colonies',
    views: [
      { id: 'all', name: $localize`All`, link: '/colonies' },
      { id: 'round', name: $localize`Yard round`, link: '/colonies/round', roles: STAFF },
      { id: 'increase', name: $localize`Making increase`, link: '/colonies/increase', roles: STAFF },
    ],
  },
  {
    id: 'trainees',
    name: $localize`Trainees`,
    link: '/trainees',
    views: [
      { id: 'matrix', name: $localize`Matrix`, link: '/trainees', roles: STAFF },
      { id: 'passport', name: $localize`Passport`, link: '/trainees/me', roles: ['trainee'] },
      { id: 'agreement', name: $localize`Agreement`, link: '/trainees/agreement' },
    ],
  },
  {
    id: 'practice',
    name: $localize`Practice`,
    link: '/practice',
    views: [
      { id: 'comb', name: $localize`Comb`, link: '/practice' },
      { id: 'eggs', name: $localize`Eggs`, link: '/practice/find-eggs' },
      { id: 'queen', name: $localize`Queen`, link: '/practice/find-queen' },
      { id: 'weather', name: $localize`Weather`, link: '/practice/weather' },
      { id: 'order', name: $localize`Order`, link: '/practice/order' },
      { id: 'all', name: $localize`All drills`, link: '/practice/all' },
    ],
  },
  {
    id: 'office',
    name: $localize`Office`,
    link: '/office',
    views: [
      { id: 'school', name: $localize`School`, link: '/office', roles: LEAD },
      { id: 'people', name: $localize`People`, link: '/office/people', roles: LEAD },
      { id: 'sites', name: $localize`Sites`, link: '/office/sites', roles: LEAD },
      { id: 'hives', name: $localize`Hives`, link: '/office/hives', roles: LEAD },
      { id: 'checklist', name: $localize`Checklist`, link: '/office/checklist' },
      { id: 'house', name: $localize`House`, link: '/office/house' },
      { id: 'archive', name: $localize`Archive`, link: '/office/archive', roles: LEAD },
      { id: 'changes', name: $localize`Changes`, link: '/office/changes', roles: LEAD },
    ],
  },
];

/**
 * The places and screens that somebody may go to.
 *
 * @param role of the person, empty while nobody is known
 */
export function placesFor(role: string): readonly Place[] {
  const open = ({ roles }: View): boolean => !roles || roles.includes(role);
  return PLACES.filter(open).map((place) => {
    const views = place.views.filter(open);
    return { ...place, link: views[0]?.link ?? place.link, views };
  });
}
