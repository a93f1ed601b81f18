import { box, CHALK, INK, pageOf, solid, words } from '../../../../../tests/support/pageTree';
import type { PageNode } from '../../node';
import { withOneMain } from './oneMain';

const plate = { fills: [solid(CHALK)] };
const header = { ...box('top', [0, 0, 400, 40], plate), role: 'header' } as const;
const footer = { ...box('foot', [0, 270, 400, 30], plate), role: 'footer' } as const;
const quay = box('quay', [0, 40, 400, 150], { fills: [solid(INK)] });
const note = words('note', [0, 220, 40, 17], 'Holm');

const rolesOf = (...nodes: PageNode[]) =>
  withOneMain(pageOf(...nodes)).children.map(({ name, role }) => `${name} ${role}`);

describe('the main region', () => {
  it('is all between the header and the footer, in whatever order it is drawn', () => {
    const expected = ['top header', 'main main', 'foot footer'];
    expect(rolesOf(header, quay, note, footer)).toEqual(expected);
    expect(rolesOf(quay, header, note, footer).toSorted()).toEqual(expected.toSorted());
  });

  it('has words or pictures where a region has some, and may hold parts with headers of their own', () => {
    const ground = box('ground', [0, 40, 400, 230], plate);
    const talk = box('talk', [0, 60, 400, 100], {}, words('say', [10, 70, 40, 17], 'Holm'));
    const ways = { ...box('ways', [0, 195, 400, 20], plate), role: 'navigation' } as const;
    expect(rolesOf(ground, ways, talk)).toContain('talk main');
    const head = {
      ...box('head', [0, 60, 400, 20], {}, words('t', [10, 62, 40, 17], 'Tides')),
      role: 'header',
    } as const;
    const card = { ...box('card', [0, 60, 400, 100], plate, head), role: 'article' } as const;
    const body = box('body', [0, 40, 400, 230], {}, words('h', [10, 42, 40, 17], 'Sund'), card);
    expect(rolesOf(header, body, footer)).toEqual(['top header', 'body main', 'foot footer']);
  });

  it('begins with a header that is most of the page', () => {
    const hero = {
      ...box('hero', [0, 40, 400, 200], plate, words('h', [10, 90, 40, 17], 'Sund')),
      role: 'header',
    } as const;
    const ways = {
      ...box('ways', [0, 0, 400, 40], plate, words('w', [10, 10, 40, 17], 'Fares')),
      role: 'navigation',
    } as const;
    expect(rolesOf(ways, hero)).toEqual(['ways navigation', 'main main']);
  });

  it('is its largest part where what is drawn between lies among its parts', () => {
    const ways = { ...box('ways', [0, 195, 400, 20], plate), role: 'navigation' } as const;
    expect(rolesOf(quay, ways, note)).toEqual(['quay main', 'ways navigation', 'note text']);
  });
});
