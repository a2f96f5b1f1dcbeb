import type { ColonyFacts } from './facts';

/** Part of the nest's sides of which a look has to read more, before anything but a guess rests on it. Common practice. */
export const A_QUARTER = 0.25;

/** Part of the nest's sides that were read, 0 to 1. */
export const shareRead = ({ nest, nestFrames }: ColonyFacts): number =>
  nestFrames > 0 ? nest.sidesRead / (nestFrames * 2) : 0;

/** Whether half of the frames of the box were read on both sides: less says too little of what was not seen. Common practice. */
export const halfRead = ({ frames, framesRead }: ColonyFacts): boolean => framesRead * 2 >= frames;
