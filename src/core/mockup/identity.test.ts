import { childIdentity, identityAt, namesInPath, SHEET } from './identity';

describe('identities', () => {
  it('are the same for the same names, and others for others', () => {
    const header = childIdentity(SHEET, 'header');
    expect(identityAt('/header')).toEqual(header);
    expect(identityAt('/header/logo')).toEqual(childIdentity(header, 'logo'));
    expect(identityAt('/header/logo').id).not.toBe(identityAt('/footer/logo').id);
    expect(identityAt('')).toEqual(SHEET);
  });

  it('are FNV-1a hashes', () => {
    // By the algorithm of draft-eastlake-fnv for the one byte 0x2f: (offset basis xor byte) times prime, modulo 2^32.
    const first = (Math.imul(0x811c9dc5 ^ 0x2f, 0x01000193) >>> 0).toString(16).padStart(8, '0');
    expect(SHEET.id).toHaveLength(16);
    expect(SHEET.id.slice(0, 8)).toBe(first);
  });

  it('have paths of names', () => {
    expect(namesInPath('/header/logo')).toEqual(['header', 'logo']);
  });
});
