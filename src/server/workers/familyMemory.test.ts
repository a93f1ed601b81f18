import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { descendantsOf, ownMemory } from './familyMemory';

it('counts what a process and those that it started hold', async () => {
  const inner = `const held = Buffer.alloc(200e6, 1); console.log(held.length); setInterval(() => held, 1e3)`;
  const outer = `require('child_process').spawn(process.execPath, ['-e', ${JSON.stringify(inner)}], { stdio: 'inherit' })`;
  const family = spawn(process.execPath, ['-e', outer], { stdio: ['ignore', 'pipe', 'ignore'] });
  await once(family.stdout, 'data');
  const found = descendantsOf(process.pid);
  const below = descendantsOf(family.pid!);
  try {
    expect(below).toHaveLength(1);
    expect(found).toEqual(expect.arrayContaining([family.pid, ...below]));
    expect(ownMemory(below[0]!)).toBeGreaterThan(200e6);
    expect(ownMemory(family.pid!)).toBeLessThan(200e6);
  } finally {
    for (const pid of [...below, family.pid!]) process.kill(pid, 'SIGKILL');
  }
  await once(family, 'exit');
  expect(ownMemory(family.pid!)).toBe(0);
});
