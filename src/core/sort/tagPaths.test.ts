import { readDemo } from '../../../tests/support/mockups';
import { idAt } from '../../../tests/support/ids';
import { pathFinder, tagsByPath } from './tagPaths';

describe('tags by path', () => {
  const { mockup } = readDemo();

  it('belong to the layer at the path', () => {
    expect(tagsByPath(mockup, { '/footer': { outcome: 'aside' } })).toEqual(
      new Map([[idAt('/footer'), { outcome: 'aside' }]]),
    );
  });

  it('may begin with the name of the file', () => {
    expect(pathFinder(mockup)('/harbour/footer')).toBe(idAt('/footer'));
    expect(pathFinder({ ...mockup, name: 'photo', format: 'flat' })('/photo/photo')).toBe(idAt('/picture'));
  });

  it('may name layers that are not there yet', () => {
    expect(pathFinder(mockup)('/hero/harbour-photo/boat')).toBe(idAt('/hero/harbour-photo/boat'));
  });
});
