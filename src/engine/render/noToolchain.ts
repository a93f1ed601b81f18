/** Thrown where the tools of a target are missing. */
export class NoToolchain extends Error {
  override readonly name = 'NoToolchain';
  /** @param packages of Debian that have it */
  constructor(tool: string, packages: string) {
    super(`${tool} is not on this machine. Install it with apt-get install ${packages}`);
  }
}
