import { ReadError } from '../readError';
import { parseXml } from './parseXml';

function refusal(source: string): ReadError {
  try {
    parseXml(source);
  } catch (error) {
    if (error instanceof ReadError) return error;
    throw error;
  }
  throw new Error('It was read.');
}

describe('parseXml', () => {
  it('keeps elements, letters and the attributes of known namespaces', () => {
    const root = parseXml(
      '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" xmlns:odd="urn:odd"><use xlink:href="#a" odd:mark="1"/>text</svg>',
    );
    expect(root.name).toBe('svg');
    expect(root.children[0]).toMatchObject({ name: 'use', attributes: { 'xlink:href': '#a' } });
    expect(root.children[0]).not.toHaveProperty('attributes.odd:mark');
    expect(root.children[1]).toBe('text');
  });

  it('reads files without the namespace, as drawing programs do', () => {
    expect(parseXml('<svg><g/></svg>').name).toBe('svg');
  });

  it('says line and column where the XML is broken', () => {
    const error = refusal('<svg>\n  <g>\n</svg>');
    expect(error.code).toBe('broken-xml');
    expect(error.data.line).toBe(3);
    expect(error.message).toMatch(/line 3, column \d+/);
  });

  it('fills in entities that are plain text', () => {
    const root = parseXml('<!DOCTYPE svg [<!ENTITY ns "http://example.test/">]><svg a="&ns;x"/>');
    expect(root.attributes.a).toBe('http://example.test/x');
  });

  it('refuses entities that refer to one another, so that no bomb goes off', () => {
    const bomb = '<!DOCTYPE svg [<!ENTITY a "xxxx"><!ENTITY b "&a;&a;"><!ENTITY c "&b;&b;">]><svg>&c;</svg>';
    expect(refusal(bomb).code).toBe('broken-xml');
  });

  it('never opens a file that an entity names', () => {
    expect(refusal('<!DOCTYPE svg [<!ENTITY f SYSTEM "file:///etc/passwd">]><svg>&f;</svg>').code).toBe(
      'broken-xml',
    );
  });

  it('refuses nesting without end', () => {
    expect(refusal('<g>'.repeat(100_000)).code).toBe('too-deep');
  });

  it('refuses malformed XML', () => {
    expect(refusal('hello').code).toBe('broken-xml');
  });
});
