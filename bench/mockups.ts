/**
 * A mockup of about `layers` layers with the usual content: cards with a box, texts, an icon and a rule, and
 * one bar unlike all others, so that a tag on it is not shared.
 */
export function benchMockup(layers: number): string {
  const perCard = 8;
  const count = Math.round(layers / perCard);
  // More columns where the cards would not fit under each other on the largest screen.
  const columns = Math.max(6, Math.ceil((count * 140) / 30_000));
  const cards = Array.from({ length: count }, (_, at) => card(at, columns));
  const [width, height] = [columns * 210 + 20, Math.ceil(count / columns) * 140];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">
<style>.name{font:600 16px Commissioner}.note{font:13px Commissioner;fill:#567}</style>
<defs><linearGradient id="wash" x2="0" y2="1"><stop stop-color="#fff"/><stop offset="1" stop-color="#eef"/></linearGradient>
<filter id="lift"><feDropShadow dx="0" dy="2" stdDeviation="3" flood-opacity=".2"/></filter></defs>
<rect id="bar" width="${width}" height="4" fill="#046"/>
${cards.join('\n')}</svg>`;
}

function card(at: number, columns: number): string {
  const x = (at % columns) * 210 + 10;
  const y = Math.floor(at / columns) * 140 + 10;
  return `<g id="card-${at}" transform="translate(${x} ${y})"><rect width="190" height="120" rx="6" fill="url(#wash)" filter="url(#lift)"/>
<text class="name" x="12" y="28">Card number ${at}</text><text class="note"><tspan x="12" y="52">A line of words,</tspan><tspan x="12" y="70">and another line.</tspan></text>
<g id="icon"><path d="M150 20l12 20h-24z" fill="#a40"/><circle cx="150" cy="${45 + (at % 5)}" r="4" fill="#04a"/></g>
<line x1="12" y1="90" x2="178" y2="90" stroke="#ccd"/></g>`;
}
