import { spawn, spawnSync } from 'node:child_process';
import { ROOT } from './paths.mjs';

export const isRoot = process.getuid?.() === 0;

/** Whether a program can be found. */
export const has = (program) =>
  spawnSync('sh', ['-c', `command -v ${program}`], {
    env: { ...process.env, PATH: `${process.env.PATH}:/usr/sbin:/sbin` },
  }).status === 0;

/** Runs a program to its end, its output shown; resolves to its exit code. */
export function show(program, args, options = {}) {
  return new Promise((done, fail) => {
    const child = spawn(program, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], ...options });
    child.once('error', fail);
    child.once('exit', (code, signal) => done(code ?? (signal ? 1 : 0)));
  });
}

/** Runs a program to its end, its output kept; resolves to exit code and output. */
export function capture(program, args, options = {}) {
  return new Promise((done, fail) => {
    const child = spawn(program, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], ...options });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (output += text));
    child.once('error', fail);
    child.once('close', (code, signal) => done({ code: code ?? (signal ? 1 : 0), output }));
  });
}
