import { ownName, saysSomething } from './tellingNames';

describe('names that tell what a layer is', () => {
  // Common practice of naming, no source.
  it.each(['sailing-card', 'nav-link', 'order-form', 'btn-primary', 'header', 'row', 'topbar-left'])(
    '%s does',
    (name) => expect(saysSomething(name)).toBe(true),
  );

  it.each(['div', 'h3', 'span16', 'd-flex', 'text-muted', 'bg-gradient-primary', 'group', 'img-fluid'])(
    '%s does not',
    (name) => expect(saysSomething(name)).toBe(false),
  );

  it('are without their number, and what a person says is kept as it is', () => {
    expect(ownName({ name: 'sailing-3', named: true })).toBe('sailing');
    expect(ownName({ name: 'div-3', named: true })).toBeNull();
    expect(ownName({ name: 'div-3', named: true, nameSaid: true })).toBe('div-3');
    expect(ownName({ name: 'to-vik', named: false })).toBeNull();
  });
});
