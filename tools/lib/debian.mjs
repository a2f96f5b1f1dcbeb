import { Trouble, say } from './say.mjs';
import { capture, has, isRoot } from './shell.mjs';

/** What the private database needs: program → package. */
export const DATABASE = {
  mariadbd: 'mariadb-server',
  'mariadb-install-db': 'mariadb-server',
  setpriv: 'util-linux',
};

/** Makes sure that Debian packages are there, installing them when this user may. Needs: program → package. */
export async function ensurePackages(needs) {
  const missing = [
    ...new Set(
      Object.entries(needs)
        .filter(([program]) => !has(program))
        .map(([, name]) => name),
    ),
  ];
  if (missing.length === 0) return;
  const install = `apt-get update && apt-get install -y --no-install-recommends ${missing.join(' ')}`;
  if (!isRoot || !has('apt-get')) {
    throw new Trouble(
      `Missing: ${missing.join(', ')}. Somebody with the right to install packages must run this once:\n\n  sudo sh -c '${install}'\n\nthen start again.`,
    );
  }
  say(`Installing ${missing.join(' and ')} from Debian's packages …`);
  const { code, output } = await capture('sh', ['-c', install], {
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  if (code !== 0)
    throw new Trouble(`${output.slice(-1500)}\nInstalling failed. See above; then run it by hand:\n\n  ${install}`);
}
