import { freeName } from './freeName';

it('gives a name that nothing else has', () => {
  const taken = new Set(['card', 'card-2', 'row-2']);
  expect(['card', 'row', 'row-2', 'link'].map((name) => freeName(name, (each) => taken.has(each)))).toEqual([
    'card-3',
    'row',
    'row-2-2',
    'link',
  ]);
});
