import { convertReading, emitted, readInside } from '../../../../tests/support/mockups';

const button = (y: number, fill: string, name = 'action') =>
  `<rect data-name="${name}" y="${y}" width="80" height="24" rx="4" opacity=".9" fill="${fill}" stroke="#222"/>`;
const built = (content: string) => {
  const conversion = convertReading(readInside(content), 'nested', new Map(), {
    settings: { values: 'plain' },
  });
  return { css: emitted(conversion, 'styles.css'), html: emitted(conversion, 'index.html') };
};

describe('modifiers', () => {
  it('say what differs from the class of their thing, which stands before them', () => {
    const { css, html } = built(button(0, '#eee') + button(30, '#eee') + button(60, '#1e87f0'));
    expect(css).toMatch(/\.action-blue \{\n {2}background: #1e87f0;\n\}/);
    expect(html).toContain('class="action action-blue"');
    expect(css.indexOf('.action {')).toBeLessThan(css.indexOf('.action-blue {'));
  });

  it('are not made of looks of other things', () => {
    const { html } = built(button(0, '#eee', 'save') + button(30, '#1e87f0', 'stop'));
    expect(html).toMatch(/class="save"/);
    expect(html).toMatch(/class="stop"/);
  });
});
