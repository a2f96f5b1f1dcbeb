// Ordinary controls are Material's. What is drawn for the work itself stays ours; here is where, and why.
const OURS = [
  ['at-the-hive/at-the-hive.html', 'the bar of an open hive: keys for gloves, one row, never moving'],
  ['at-the-hive/hive-head.html', 'the emergency key and the sign of what waits, always in the same place'],
  ['at-the-hive/side-entry.html', 'the comb, its line of shorthand and what stands around it'],
  ['at-the-hive/letter-pad.ts', 'keys of the letter pad'],
  ['at-the-hive/eighths-bar.ts', 'eighths of a side, filled by a tap'],
  ['at-the-hive/step-list.ts', 'the map of a hive’s frames'],
  ['at-the-hive/skill-judge.ts', 'five glyphs of level in one row'],
  ['at-the-hive/seen-enough.ts', 'evidence ticked off beside the comb'],
  ['at-the-hive/pollen-swatches.ts', 'colours of pollen, held against the load'],
  ['parts/worded.ts', 'a word within a sentence'],
  ['planning/plan-row.html', 'a token of the planning board, carried by keys and drag'],
  ['practice/reading-entry.ts', 'the bar of eighths that a learner fills'],
  [
    'season/season-strip.html',
    'days of the strip; its choice of site is on the first screen, before Material is loaded',
  ],
  ['afterwards/arrange-frames.ts', 'frames as they hang, carried by keys and drag'],
  ['practice/order-entry.ts', 'steps in their order, carried by keys and drag'],
  ['skills/agreement.html', 'lines of the picture of agreement, a bar a person'],
  ['skills/checklist.html', 'skills in their order, carried by keys and drag'],
  ['afterwards/visit-review.html', 'frames in the picture of a box'],
];

const MATERIAL = /^mat[A-Z-]/;
const CONTROLS = new Set(['button', 'input', 'select', 'textarea']);

/** Names of attributes and bindings of an element of a template. */
const marks = ({ attributes = [], inputs = [] }) => [...attributes, ...inputs].map(({ name }) => name);

const ours = (file) => file.includes('.spec.ts') || OURS.some(([path]) => file.replaceAll('\\', '/').includes(path));

export default {
  rules: {
    'material-controls': {
      meta: { type: 'problem', schema: [] },
      create: (context) => ({
        Element(element) {
          if (!CONTROLS.has(element.name) || ours(context.filename)) return;
          const names = marks(element);
          const file = element.name === 'input' && element.attributes.some(({ value }) => value === 'file');
          if (file || names.some((name) => MATERIAL.test(name))) return;
          const { start, end } = element.sourceSpan;
          context.report({
            loc: {
              start: { line: start.line + 1, column: start.col },
              end: { line: end.line + 1, column: end.col },
            },
            message: `Use Material's control instead of a bare <${element.name}>, or list the file with its reason in tools/lint/material-controls.mjs.`,
          });
        },
      }),
    },
  },
};
