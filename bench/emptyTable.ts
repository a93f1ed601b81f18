/**
 * The baseline of the worksheet bench: a virtual table of 5,000 empty rows with the worksheet's keys and
 * nothing else.
 */
export const EMPTY_TABLE = `<!doctype html><title>Floor</title>
<style>#grid{height:500px;overflow:auto;position:relative}#rows{position:relative;height:130000px}.row{position:absolute;height:26px;left:0;right:0}</style>
<div id="grid" role="treegrid" tabindex="0"><div id="rows"></div></div>
<script>
  const grid = document.getElementById('grid');
  const rows = document.getElementById('rows');
  let at = 0;
  const said = new Map();
  function draw() {
    const first = Math.max(0, Math.floor(grid.scrollTop / 26) - 16);
    rows.replaceChildren(...Array.from({ length: 52 }, (_, offset) => {
      const row = document.createElement('div');
      row.className = 'row';
      row.id = 'row-' + (first + offset);
      row.style.top = (first + offset) * 26 + 'px';
      row.textContent = said.get(first + offset) ?? '';
      return row;
    }));
    grid.setAttribute('aria-activedescendant', 'row-' + at);
  }
  const WORDS = { '-': 'aside', p: 'picture', e: 'element' };
  grid.addEventListener('keydown', (event) => {
    if (event.key === 'ArrowDown') at += 1;
    if (WORDS[event.key]) said.set(at, WORDS[event.key]);
    draw();
  });
  grid.addEventListener('scroll', draw);
  draw();
</script>`;
