/** A part of a screen that is explained: where it is, and what it says. */
export interface HelpPart {
  /** Selector of the part; without it the line stands for the whole screen. */
  readonly at?: string;
  readonly says: string;
}

/** What a screen is for, and how it is read. */
export interface ScreenHelp {
  readonly name: string;
  readonly purpose: string;
  readonly parts: readonly HelpPart[];
  readonly keys?: readonly (readonly [keys: string, does: string])[];
}

const STRIP: HelpPart = {
  at: 'bc-season-strip',
  says: $localize`The days around today: bars are hours in which a hive may be opened, darker the deeper; numbers below are sessions and the hives that are due, “2×” several at once. Choose a day to see it.`,
};
const STRIP_KEYS = [
  ['← →', $localize`a day back or on`],
  ['[ ]', $localize`a week back or on`],
] as const;
const BOARD_KEYS = [
  ['← ↑ → ↓', $localize`go from field to field`],
  ['Enter', $localize`open what is there`],
] as const;

/** By the view of its route, or by its address where several views share one. */
export const SCREEN_HELP: Readonly<Record<string, ScreenHelp>> = {
  'day-sheet': {
    name: $localize`Day sheet`,
    purpose: $localize`Can we open today, who opens which hive, and with what? One day at one site.`,
    parts: [
      STRIP,
      {
        at: 'bc-verdict-sheet',
        says: $localize`Today’s answer: go, go short, move or no; until when, and why. A mark inside its line is fit, rust is tight or over.`,
      },
      {
        at: 'bc-hours-chart',
        says: $localize`The hours of the day. The rust line is when the weather turns; hatched beside it, it may already have. Be closed by then.`,
      },
      {
        at: 'bc-group-card',
        says: $localize`A group and its hive: why this one, what to find out, who does what. Start opens the visit.`,
      },
      { at: 'bc-last-nest', says: $localize`The nest as it was read last time; ringed frames are for today.` },
      { at: '.kit', says: $localize`What to bring, counted for all groups. Print takes two pages.` },
      { at: '.say', says: $localize`What to say at the gate before anybody goes to a hive.` },
    ],
    keys: STRIP_KEYS,
  },
  sessions: {
    name: $localize`Sessions`,
    purpose: $localize`Every session ahead of you: day, hours, group, hive, who leads it.`,
    parts: [STRIP, { says: $localize`A session leads to its day sheet. Trainees see their own part first.` }],
  },
  planner: {
    name: $localize`Planner`,
    purpose: $localize`Which group opens which hive when, so that every check is met and everybody can show what is still open.`,
    parts: [
      {
        at: '.how',
        says: $localize`Points are what the plan is worth: skills that can be shown and checks that are met, less what breaks a rule. Plan looks for the best; Publish tells everybody.`,
      },
      {
        at: 'bc-plan-grid',
        says: $localize`One column a slot, one line a group. Carry a hive to another slot by drag, or with M and the arrow keys; its points change at once.`,
      },
      {
        at: 'bc-plan-days',
        says: $localize`On a phone the plan is read by day: press a hive for its reasons and odds.`,
      },
      {
        at: 'bc-plan-troubles',
        says: $localize`Rules that are broken come first, each with its cheapest ways out; below them the checks that are missed and the slots that are risky. Nothing is published while a rule is broken.`,
      },
      {
        at: 'bc-plan-rhythm',
        says: $localize`Days between two looks at each colony that must be looked at again and again.`,
      },
      { at: 'bc-plan-force', says: $localize`A session at hours of your own choice, and what it would cost.` },
    ],
    keys: [
      ...BOARD_KEYS,
      ['M', $localize`carry a hive, Enter puts it down, Esc puts it back`],
      ['F', $localize`fix the chosen hive in its slot`],
      ['X', $localize`exclude it from its slot`],
      ['U', $localize`undo the last change`],
    ],
  },
  season: {
    name: $localize`Season`,
    purpose: $localize`The year at one site: colony, bloom, flow, sessions and what each hive needs.`,
    parts: [
      STRIP,
      { says: $localize`Drag or scroll through the year; closer and wider change how much of it is seen.` },
    ],
  },
  day: {
    name: $localize`A day`,
    purpose: $localize`One day hour by hour: how deep a hive may be opened when, and what limits it.`,
    parts: [
      STRIP,
      { says: $localize`Hours read from left to right; below them stand smoke, fire and house limits.` },
      {
        at: 'bc-day-sessions',
        says: $localize`Sessions of this day, or that it has none, with the next three and the odds of each.`,
      },
    ],
    keys: STRIP_KEYS,
  },
  dues: {
    name: $localize`To do`,
    purpose: $localize`What each hive needs, by when, and why. Must comes before should, should before may.`,
    parts: [
      {
        at: '[aria-labelledby=due-title]',
        says: $localize`Sorted by the last day, or by the head that you press; rust is late. The number opens that hive’s calendar.`,
      },
      {
        at: '[aria-labelledby=load-title]',
        says: $localize`How often and how long each hive was opened in thirty days, against the limit.`,
      },
    ],
  },
  forage: {
    name: $localize`Bloom`,
    purpose: $localize`What blooms when around the site. What you see corrects this year’s dates and later plants.`,
    parts: [
      {
        says: $localize`Filled dots: how much nectar and pollen it gives, up to four. Degree days are counted from the turn of the year.`,
      },
    ],
  },
  seen: {
    name: $localize`Diary`,
    purpose: $localize`What was seen at the site: first bloom, drones, wasps, frost. It sets tasks going by your house practice.`,
    parts: [{ says: $localize`Log an event on its day; undo takes its tasks back too.` }],
  },
  weather: {
    name: $localize`Weather`,
    purpose: $localize`How far ahead the forecast can be trusted here, and what was measured.`,
    parts: [
      STRIP,
      { says: $localize`Bars count in how many days out of ten the forecast was right so many days before.` },
    ],
  },
  'at-the-hive': {
    name: $localize`At the hive`,
    purpose: $localize`Today’s hives with Start, open visits, and any other hive.`,
    parts: [
      {
        says: $localize`An open visit can be joined from a second device. Everything works without a signal once the day sheet was opened.`,
      },
    ],
  },
  live: {
    name: $localize`Live`,
    purpose: $localize`The hives that are open now: minutes, mood, stings, what was read.`,
    parts: [{ says: $localize`It follows by itself. A hive that stays open too long turns rust.` }],
  },
  labels: {
    name: $localize`Labels`,
    purpose: $localize`A label for each hive. Scan it with a phone to open that hive.`,
    parts: [{ says: $localize`Print them only once phones reach the server under the address that is shown.` }],
  },
  afterwards: {
    name: $localize`Visit review`,
    purpose: $localize`One visit read again: what changed, what it adds up to, what the colony needs next.`,
    parts: [
      { at: '.changed', says: $localize`Each frame last time and now.` },
      {
        at: '.sums',
        says: $localize`Frames of bees and brood, kilograms of food; hatched is estimated, with its range.`,
      },
      {
        at: '.advice',
        says: $localize`What the colony needs: accept, adjust or decline it. Other practice says what others do, and why.`,
      },
    ],
  },
  debrief: {
    name: $localize`Debrief`,
    purpose: $localize`The talk after a session: who did what, what changed, what is open. The lead signs it off.`,
    parts: [
      {
        at: '.whole',
        says: $localize`A line a person: bars are frames held, smoked, recorded, watched; open it for the rest.`,
      },
      {
        at: '[aria-labelledby=sign]',
        says: $localize`Read these parts through, then sign off. An incident must be settled first.`,
      },
      {
        says: $localize`The 5-minute talk-through says it in sentences to read out at the gate: Space stops the clock, arrows turn the parts, Esc leaves.`,
      },
    ],
  },
  questions: {
    name: $localize`Questions`,
    purpose: $localize`Photos and questions from the hives, waiting for an answer.`,
    parts: [{ says: $localize`They are asked at the hive under More, and answered here.` }],
  },
  'yard-book': {
    name: $localize`Yard book`,
    purpose: $localize`Work on the hives themselves: repairs, parts, wax and propolis.`,
    parts: [{ says: $localize`Done takes a line off; what is found at a visit comes in by itself.` }],
  },
  combs: {
    name: $localize`Comb store`,
    purpose: $localize`Combs out of the hives: where they are, how good, where they came from.`,
    parts: [{ says: $localize`Grades go from keep to replace; a comb of a suspect hive never moves on.` }],
  },
  predictions: {
    name: $localize`Predictions`,
    purpose: $localize`What people said before they looked, and what was there.`,
    parts: [
      {
        says: $localize`Made at the hive under More. Half of the score is the main content of the side, half the set of contents.`,
      },
    ],
  },
  all: {
    name: $localize`Colonies`,
    purpose: $localize`All colonies, the most urgent first: strength, food, queen, and what comes next.`,
    parts: [
      {
        says: $localize`The box shows the nest from above; hatched is expected, not read. The name leads to the colony’s story.`,
      },
    ],
  },
  colony: {
    name: $localize`Colony`,
    purpose: $localize`One colony’s story on one line of time: brood, bees, food, visits, what is foreseen.`,
    parts: [
      {
        says: $localize`Narrow the window below the chart to look closer; the band is how far the estimate may be out.`,
      },
    ],
    keys: [
      ['← →', $localize`move the window a week`],
      ['+ −', $localize`make it shorter or longer`],
    ],
  },
  round: {
    name: $localize`Yard round`,
    purpose: $localize`What a round through the yard has to do, in the order that saves steps.`,
    parts: [{ says: $localize`Choose which jobs go into this round; the list to bring follows.` }],
  },
  increase: {
    name: $localize`Making increase`,
    purpose: $localize`Which colonies can be divided, when the new queens lay, and how much comb it takes.`,
    parts: [{ says: $localize`A suspicion of disease stops all division until it is settled.` }],
  },
  matrix: {
    name: $localize`Trainees`,
    purpose: $localize`Who has shown what, and what each group needs next.`,
    parts: [
      {
        at: 'bc-matrix-grid',
        says: $localize`A line a person, a column a skill. The sign is how much help it took, from “saw it” to “can teach”; a line below it is the signature.`,
      },
      {
        at: 'aside',
        says: $localize`Beside it what is needed soonest; choose a person or a sign to see the evidence.`,
      },
    ],
    keys: BOARD_KEYS,
  },
  agreement: {
    name: $localize`Agreement`,
    purpose: $localize`How well each person’s hidden readings agree with the supervisor’s.`,
    parts: [{ says: $localize`Bars are sides within one eighth. Too few sides say nothing yet.` }],
  },
  passport: {
    name: $localize`Passport`,
    purpose: $localize`One trainee’s skills with the evidence for each, signed by the lead.`,
    parts: [{ says: $localize`Print it, or export it for another school.` }],
  },
  practice: {
    name: $localize`Practice`,
    purpose: $localize`Short drills indoors; what you know less comes back sooner.`,
    parts: [
      { at: '.stage', says: $localize`A comb, an hour or a colony: say what you see, then see what was there.` },
      {
        at: 'bc-practice-week',
        says: $localize`Days on which you practised. A day without is a gap, nothing is lost.`,
      },
      {
        at: 'bc-practice-next',
        says: $localize`What is read wrong at the hive comes first, then what is due longest.`,
      },
    ],
  },
  school: {
    name: $localize`School`,
    purpose: $localize`What a school needs before its first session, in order, and how far yours is.`,
    parts: [{ says: $localize`The purple mark is what comes next. Everything can be changed later.` }],
  },
  people: {
    name: $localize`People`,
    purpose: $localize`Who belongs to the school, in which groups, and how each gets in.`,
    parts: [
      {
        at: '.ways',
        says: $localize`A list from any spreadsheet makes people and groups; invitations are slips to hand out.`,
      },
      {
        says: $localize`A name opens the person: role, groups, a link to come in, an emergency note that is shut until it is needed.`,
      },
    ],
  },
  house: {
    name: $localize`House practice`,
    purpose: $localize`The figures by which the school judges and plans: what each means, yours, the default, and what others do and why.`,
    parts: [
      {
        at: '.figure',
        says: $localize`Type a figure, or take what others do. It is a draft until it is published.`,
      },
      {
        says: $localize`At the side stands what the draft would change: fit hours of the coming days, and sessions that are planned.`,
      },
    ],
  },
  archive: {
    name: $localize`Archive`,
    purpose: $localize`The whole school as one file: taken out to keep it safe, brought in at another place or after a mishap.`,
    parts: [
      {
        says: $localize`A file is read to its end and compared first. Then all of it takes the place of the school, or nothing does: also when the power fails half-way.`,
      },
    ],
  },
  changes: {
    name: $localize`Changes`,
    purpose: $localize`Who changed which record, with before and after; who came in; who read what is private.`,
    parts: [
      { says: $localize`Words find persons, things and values. What a private note says stands here for nobody.` },
    ],
  },
  sites: {
    name: $localize`Sites`,
    purpose: $localize`Where hives stand: the place, the time that is kept there, and how help finds it.`,
    parts: [
      { says: $localize`The place gives season, light and forecast. The emergency lines stand on every day sheet.` },
    ],
  },
  'site-plan': {
    name: $localize`Plan of a site`,
    purpose: $localize`Where stands, hives, paths and hedges are, where bees fly and people stand.`,
    parts: [
      {
        at: 'bc-plan-ground',
        says: $localize`Drag a stand with its hives, or choose it and use arrow keys. R turns it. What has moved leaves its old place dashed.`,
      },
      {
        at: '.told',
        says: $localize`What is wrong, stand by stand: flight lanes over paths, no room behind, wind, height. A stand in trouble offers the shortest way out of it.`,
      },
    ],
  },
  hives: {
    name: $localize`Hives`,
    purpose: $localize`Every hive with where it stands, what it is made of and what lives in it.`,
    parts: [
      {
        at: '.ways',
        says: $localize`A list from any spreadsheet: its columns are guessed, doubts are asked, nothing is added unseen.`,
      },
      { says: $localize`A number opens the hive, to move it, change its boxes or put it out of use.` },
    ],
    keys: [
      ['F8', $localize`next row to settle`],
      ['1 2 3', $localize`choose its answer`],
      ['Ctrl Z', $localize`take the last answer back`],
    ],
  },
  checklist: {
    name: $localize`Checklist`,
    purpose: $localize`The skills of the course, and what counts as having shown one.`,
    parts: [
      { says: $localize`What you change is a draft. Beside it stands who would be affected; Publish makes it count.` },
    ],
    keys: [['Alt ↑ ↓', $localize`move a skill`]],
  },
};
