import sharp from 'sharp';

/** A harbour in the evening, drawn: sky, hills, quay, ferry, sea with glitter. JPEG at twice the shown size. */
export async function drawHarbourPhoto(width: number, height: number): Promise<Buffer> {
  const picture = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 1320 300" preserveAspectRatio="none">
    <defs>
      <linearGradient id="sky" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="#35506b"/><stop offset=".45" stop-color="#8fa9b5"/><stop offset=".62" stop-color="#f0c9a0"/>
      </linearGradient>
      <linearGradient id="sea" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="#d9a982"/><stop offset=".2" stop-color="#5d7f8e"/><stop offset="1" stop-color="#1d3a4c"/>
      </linearGradient>
      <radialGradient id="sun" cx=".5" cy=".5" r=".5">
        <stop offset="0" stop-color="#fff3d8"/><stop offset=".25" stop-color="#ffe2b0"/><stop offset="1" stop-color="#ffe2b0" stop-opacity="0"/>
      </radialGradient>
    </defs>
    <rect width="1320" height="190" fill="url(#sky)"/>
    <circle cx="930" cy="168" r="130" fill="url(#sun)"/>
    ${hills(7, 150, 26, '#6f8794')}${hills(13, 166, 20, '#4c6675')}${hills(29, 180, 12, '#33505f')}
    <rect y="186" width="1320" height="114" fill="url(#sea)"/>
    ${glitter(420)}
    <g fill="#16303e"><path d="M0 214h310l26 14v12H0z"/><path d="M40 214v-36h8v36zM120 214v-30h6v30zM236 214v-44h7v44z"/></g>
    <g><path d="M690 212l18 26h222l26-26z" fill="#f4efe4"/><path d="M700 226l8 12h222l10-12z" fill="#b5442e"/>
    <path d="M720 212v-22h170l16 22zM748 190v-16h104v16z" fill="#fbf8f1"/><path d="M790 174v-26h24v26z" fill="#b5442e"/>
    <path d="M790 154h24v7h-24z" fill="#16303e"/><g fill="#33505f">${windows()}</g></g>
  </svg>`;
  const noise = await sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#808080',
      noise: { type: 'gaussian', mean: 128, sigma: 9 },
    },
  })
    .png()
    .toBuffer();
  return sharp(Buffer.from(picture))
    .composite([{ input: noise, blend: 'soft-light' }])
    .flatten({ background: '#808080' })
    .jpeg({ quality: 74, mozjpeg: true })
    .toBuffer();
}

function hills(seed: number, base: number, height: number, colour: string): string {
  const points = Array.from({ length: 45 }, (_, at) => {
    const rise =
      Math.sin(at * 0.31 + seed) + Math.sin(at * 0.83 + seed * 2) * 0.5 + Math.sin(at * 1.9 + seed * 3) * 0.2;
    return `${at * 30},${(base - rise * height * 0.5).toFixed(1)}`;
  });
  return `<polygon points="0,190 ${points.join(' ')} 1320,190" fill="${colour}"/>`;
}

function glitter(count: number): string {
  return Array.from({ length: count }, (_, at) => {
    const share = (at * 0.6180339887) % 1;
    const down = (at * 0.7548776662) % 1;
    const near = 1 - Math.min(1, Math.abs(share * 1320 - 930) / 420);
    const [x, y] = [share * 1320, 190 + down * down * 106];
    const opacity = (0.08 + near * 0.5 * (1 - down * 0.6)).toFixed(2);
    return `<rect x="${x.toFixed(1)}" y="${y.toFixed(1)}" width="${(5 + down * 26).toFixed(1)}" height="${(0.6 + down * 1.8).toFixed(1)}" rx="1" fill="#ffe6c2" opacity="${opacity}"/>`;
  }).join('');
}

function windows(): string {
  return Array.from(
    { length: 11 },
    (_, at) => `<rect x="${730 + at * 14}" y="197" width="8" height="6"/>`,
  ).join('');
}
