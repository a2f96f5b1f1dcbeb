/// <reference lib="webworker" />
import { planAnswerer } from './plan-answers';
import type { Question } from './plan-thoughts';

const answer = planAnswerer();

addEventListener('message', ({ data }: MessageEvent<{ id: number; question: Question }>) => {
  try {
    postMessage({ id: data.id, answer: answer(data.question) });
  } catch (error) {
    postMessage({ id: data.id, fault: String(error) });
  }
});
