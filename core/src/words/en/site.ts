import type { Sentences } from '../../language';
import type { SiteSentences } from '../../site/said';

const hive = (hives: readonly string[]): string => (hives.length === 1 ? 'hive' : 'hives');

/** Sentences of the room, from their facts. */
export const siteSentences: Sentences<SiteSentences> = {
  'stand-behind': ({ faces, behind, metres }, w) =>
    `Entrance faces ${w.name('compass', faces)}: stand to the ${w.name('compass', behind)}, behind the hive. Nobody within ${w.metres(metres)} before it.`,
  'mind-hives': ({ hives }) => `Mind ${hive(hives)} ${hives.join(', ')}: its flight path is close by.`,
  'no-clear-place': ({ people, metres }, w) =>
    `No clear place for ${people} of the group: they wait ${w.metres(metres)} behind and change over.`,
  'lane-on-path': ({ path, metres, wants }, w) =>
    `Bees fly across ${path || 'the path'} at ${w.metres(metres)}. Keep ${w.metres(wants)} clear before the entrances, turn them, or plant or set up a screen as tall as a person between.`,
  'lane-on-gate': ({ gate, metres }, w) =>
    `Bees fly at whoever comes in at ${gate || 'the gate'}, ${w.metres(metres)} away. Turn the entrances or set up a screen.`,
  'lane-on-hives': ({ hives, metres }, w) =>
    `Its bees fly at ${hive(hives)} ${w.list(hives)}, ${w.metres(metres)} away: who works there stands in their flight path.`,
  'path-behind': ({ path, metres, wants }, w) =>
    `${w.metres(metres)} from the back of the hives to ${path || 'the path'}: people at work would stand on it. ${w.metres(wants)} are wanted.`,
  'stands-in': ({ hives }, w) =>
    `${hives.length === 1 ? 'Hive' : 'Hives'} ${w.list(hives)} would stand in a hedge, on a wall or against a tree.`,
  'hives-overlap': ({ hives }, w) => `Hives ${w.list(hives)} stand in each other. Set them further apart.`,
  'hives-close': ({ hives, metres }, w) =>
    `Hives ${w.list(hives)} are ${w.metres(metres)} apart, middle to middle: what is done at one stirs the next.`,
  'no-room-behind': ({ hives, people }, w) =>
    `At ${hive(hives)} ${w.list(hives)} there is no clear place for ${people} of the group within reach.`,
  'stand-low': ({ cm }, w) =>
    `${w.mm(cm * 10)} high: backs bend for every frame. ${w.mm(300)} to ${w.mm(500)} suit most people; give a taller stand to whoever has a bad back.`,
  'stand-high': ({ cm }, w) => `${w.mm(cm * 10)} high: with two supers on, boxes are lifted from above the shoulder.`,
  'into-wind': ({ from }, w) =>
    `Entrances face the wind from the ${w.name('compass', from)} without shelter: cold draughts in winter, and bees blown down as they land.`,
  'from-the-sun': ({ faces }, w) =>
    `Entrances face ${w.name('compass', faces)}, away from the sun: flying begins late and ends early. Many keep them toward the morning sun; others value shade in hot places.`,
  'move-small': ({ metres }, w) => `Moved by ${w.metres(metres)}: its foragers find it.`,
  'move-too-far': ({ metres, days }, w) =>
    `${w.metres(metres)} is too far at once: foragers go back to the old place. ${days > 0 ? `Move it ${w.metres(1)} a day when bees fly, ${days} days; or take` : 'Take'} it away for three weeks, further than they fly; or wait for weeks of cold in which no bee flies. Some shut the hive for three days and lean a branch before the entrance; how well that works is disputed.`,
  'move-between': ({ km, days }, w) =>
    `${w.km(km)} apart: within the flight of foragers, which go back to the old place. Take it ${w.km(5)} or more away for ${days} days first, or move it in weeks of cold in which no bee flies.`,
  'move-far-enough': ({ km }, w) =>
    `${w.km(km)} apart: foragers learn the new place. Close it at dusk, strap it, give it air, open it there at once. Ask whether a movement has to be reported, and move nothing out of an area under a standstill.`,
  'turn-by-steps': ({ degrees, days }) =>
    `Turned by ${degrees}°: turn it by steps, ${days} days, or bees queue at the old side.`,
};
