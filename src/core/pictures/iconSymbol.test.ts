import { iconSymbol } from './iconSymbol';

const svg = (content: string, size = 24) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${size}" height="${size}" viewBox="0 0 ${size} ${size}">${content}</svg>`;

describe('a symbol of an icon', () => {
  it('takes the colour of what is around it', () => {
    const symbol = iconSymbol(
      svg('<g><path d="M0 0h9" fill="none" stroke="#2c5a6b"/><circle r="3" fill="#2c5a6b"/></g>'),
    );
    expect(symbol).toMatchObject({ colour: '#2c5a6b', viewBox: '0 0 24 24' });
    expect(symbol!.content[0]!.children).toMatchObject([
      { name: 'path', attributes: { fill: 'none', stroke: 'currentColor' } },
      { name: 'circle', attributes: { fill: 'currentColor' } },
    ]);
  });

  it('is none of several colours, and of an unsaid one', () => {
    expect(iconSymbol(svg('<path d="M0 0h9v9z" fill="#000"/><path d="M0 0h9v9z" fill="#fff"/>'))).toBeNull();
    expect(iconSymbol(svg('<path d="M0 0h9v9z"/>'))).toBeNull();
    expect(iconSymbol(svg('<g fill="#123"><path d="M0 0h9v9z"/></g>'))).not.toBeNull();
  });

  it('is none of a larger drawing, and of more than plain shapes', () => {
    expect(iconSymbol(svg('<path d="M0 0h9v9z" fill="#000"/>', 41))).toBeNull();
    for (const content of [
      '<image href="asset:gull"/>',
      '<path id="a" d="M0 0h9v9z" fill="#000"/>',
      '<path d="M0 0h9v9z" fill="url(#sky)"/>',
      '<g filter="url(#fog)"><path d="M0 0h9v9z" fill="#000"/></g>',
      '<path d="M0 0h9v9z" style="fill:#000"/>',
      '',
    ])
      expect(iconSymbol(svg(content))).toBeNull();
  });
});
