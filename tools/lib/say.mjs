/** A problem that the person at the keyboard can solve: printed without a stack trace. */
export class Trouble extends Error {}

export const say = (line) => process.stdout.write(`${line}\n`);

/** Runs a script's main part; trouble is said in words, anything else with its stack. */
export async function run(main) {
  try {
    await main();
  } catch (error) {
    process.stderr.write(error instanceof Trouble ? `\n${error.message}\n` : `${error?.stack ?? error}\n`);
    process.exitCode = 1;
  }
}
