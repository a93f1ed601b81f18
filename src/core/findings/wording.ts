export type Severity = 'note' | 'warning' | 'error';

/** Every finding's title for many of its kind, severity and sentence, in one place. `{name}` stands for a value of the finding's data. */
export const WORDING = {
  'script-removed': {
    title: 'Scripts left out',
    severity: 'warning',
    text: 'A script was left out: Orden never runs scripts from a mockup.',
  },
  'handler-removed': {
    title: 'Event handlers left out',
    severity: 'note',
    text: 'Event handlers ({name}) were left out.',
  },
  'outside-reference': {
    title: 'Outside references not fetched',
    severity: 'warning',
    text: '{what} refers to something outside the file ({target}); it was not fetched. Embed it in the mockup.',
  },
  'reference-missing': {
    title: 'References to nothing',
    severity: 'warning',
    text: '{property} refers to #{target}, which is not in the file.',
  },
  'reference-cycle': {
    title: 'References in a circle',
    severity: 'warning',
    text: '#{target} refers to itself; the inner copy was left out.',
  },
  'too-many-copies': {
    title: 'Too many copies',
    severity: 'warning',
    text: 'The file repeats its parts more than {limit} times; further copies were left out.',
  },
  'too-deep': {
    title: 'References too deep',
    severity: 'warning',
    text: 'References lead more than {limit} deep; what lies deeper was left out.',
  },
  'foreign-content': {
    title: 'Foreign content left out',
    severity: 'warning',
    text: 'Foreign content (<{element}>) cannot be read and was left out.',
  },
  'element-unknown': {
    title: 'Elements not understood',
    severity: 'warning',
    text: '<{element}> is not understood and was left out.',
  },
  'animation-ignored': {
    title: 'Animations left out',
    severity: 'note',
    text: '<{element}> was left out: a page shows the mockup at rest.',
  },
  'css-ignored': {
    title: 'Style rules not understood',
    severity: 'note',
    text: 'A style rule was not understood and was left out: {what}.',
  },
  'css-too-much': {
    title: 'Too many style rules',
    severity: 'warning',
    text: 'The style sheet has too many rules for so many elements; after {limit} comparisons it was left out.',
  },
  'value-ignored': {
    title: 'Values not understood',
    severity: 'note',
    text: '{property} "{value}" was not understood and was left out.',
  },
  'filter-kept': {
    title: 'Filters without CSS',
    severity: 'note',
    text: 'The filter has no CSS of its own; the layer is kept as a picture with it.',
  },
  'mask-kept': {
    title: 'Masks without CSS',
    severity: 'note',
    text: 'The mask has no CSS of its own; the layer is kept as a picture with it.',
  },
  'pattern-kept': {
    title: 'Patterns without CSS',
    severity: 'note',
    text: 'The pattern has no CSS of its own; the layer is kept as a picture.',
  },
  'text-oddity': {
    title: 'Texts drawn as pictures',
    severity: 'note',
    text: 'The text has {what}; the page has it as a picture with the words as its alternative text.',
  },
  'composite-replaced': {
    title: 'Compositions without CSS',
    severity: 'warning',
    text: 'The composition {operator} has no CSS; the layer is laid over what is beneath as usual.',
  },
  'composite-baked': {
    title: 'Compositions drawn into one picture',
    severity: 'note',
    text: 'The composition {operator} has no CSS; the layer and {count} beneath it are drawn into one picture.',
  },
  'merged-differs': {
    title: 'Other than its program shows it',
    severity: 'warning',
    text: 'The picture that the drawing program saved differs in {percent}% of its pixels from what was read.',
  },
  'layer-empty': {
    title: 'Empty layers',
    severity: 'note',
    text: 'The layer is empty: nothing in it can be seen.',
  },
  resolution: {
    title: 'Resolution of the picture',
    severity: 'note',
    text: 'The picture has {dpi} dpi, so {scale} of its px are one px of the screen.',
  },
  'bitmap-broken': {
    title: 'Broken pictures',
    severity: 'warning',
    text: 'The embedded picture could not be read: {why}.',
  },
  'font-replaced': {
    title: 'Fonts replaced',
    severity: 'note',
    text: '{family} is not here; Orden measured with {face}.',
  },
  'font-broken': {
    title: 'Broken fonts',
    severity: 'warning',
    text: 'The embedded font {family} could not be read.',
  },
  'beside-screens': {
    title: 'Layers beside the screens',
    severity: 'note',
    text: 'The layer lies beside the screens of its sheet, and so is on no page.',
  },
  'half-pixel': {
    title: 'Edges between two px',
    severity: 'note',
    text: 'An edge lies {by} px beside a whole px, so it looks fuzzy at 1:1.',
  },
  'name-double': {
    title: 'Names used more than once',
    severity: 'note',
    text: '{count} layers of the screen are named {name}.',
  },
  'beyond-target': {
    title: 'What the target cannot draw',
    severity: 'note',
    text: 'This layer is a picture: {why}.',
  },
  'past-edge': {
    title: 'Layers past the edge of the screen',
    severity: 'note',
    text: 'The layer reaches past the screen by {by} px.',
  },
  'stroke-inexact': {
    title: 'Borders of a fraction of a px',
    severity: 'note',
    text: 'The outline of {width} px is drawn by CSS in whole px.',
  },
  'name-taken': {
    title: 'Names already taken',
    severity: 'note',
    text: 'Another picture is already named {name}; this one became {became}.',
  },
  'merge-overlap': {
    title: 'Layers between the parts of one picture',
    severity: 'warning',
    text: '{what} lies over a part of the picture {name} and under another ({count} such in all); in the page it lies beneath the whole picture.',
  },
  'state-alone': {
    title: 'States of nothing',
    severity: 'warning',
    text: 'It is said to show the state {state}, but no layer of its size lies beside it; put both into one group.',
  },
  'left-off': {
    title: 'Seen layers that are not on the page',
    severity: 'note',
    text: 'It is seen in the mockup and is not on the page ({reason}). Say element where it belongs there.',
  },
  'tags-unknown': {
    title: 'Tags for layers that are not there',
    severity: 'warning',
    text: 'The tags name {path}, but the mockup has no such layer; they were left out.',
  },
  'style-refused': {
    title: 'Parts of the style file that were not taken',
    severity: 'warning',
    text: 'The style file says what cannot be taken: {what}',
  },
  'bracket-unknown': {
    title: 'Tags in names not understood',
    severity: 'warning',
    text: '"{token}" in its name or attributes was not understood; nothing of it was taken.{hint}',
  },
  'link-nowhere': {
    title: 'Links that lead nowhere',
    severity: 'warning',
    text: 'It leads to {href}, but no screen and no layer on a page has that name.',
  },
  'label-nowhere': {
    title: 'Labels of no field',
    severity: 'warning',
    text: 'It is said to label {name}, but no field on the page has that name.',
  },
  'type-without-field': {
    title: 'Input types without a field',
    severity: 'warning',
    text: 'The input type {type} has no effect, since the layer is no field; give it the role field.',
  },
  'sample-unused': {
    title: 'Samples that nobody uses',
    severity: 'note',
    text: 'No layer has the class {name}; the sample changes nothing.',
  },
  'class-without-sample': {
    title: 'Classes without a sample',
    severity: 'note',
    text: 'No sample defines the class {name}; the layer keeps the look that it is drawn in.',
  },
  'contrast-low': {
    title: 'Texts with too little contrast in a theme',
    severity: 'warning',
    text: 'In the theme {theme} its letters have a contrast of {ratio} to 1 with what is behind them; WCAG asks for 4.5, and for 3 where they are large.',
  },
  'state-lost': {
    title: 'States that the page does not show',
    severity: 'warning',
    text: 'The page does not show it as the state {state}: what it is a state of is no box of its own. Put both into a group of their own.',
  },
  'picture-name-shared': {
    title: 'Pictures of the same name',
    severity: 'note',
    text: '{count} pictures are named {name}; those that are not alike get a number in the end.',
  },
  'recipe-unknown': {
    title: 'Recipes that are not there',
    severity: 'warning',
    text: 'There is no recipe {name}; its files were made by the automatic one.',
  },
  'file-twice': {
    title: 'Files of one name',
    severity: 'warning',
    text: 'Two recipes or pictures make {path}; the first one was kept.',
  },
  'file-refused': {
    title: 'Picture files that cannot be made',
    severity: 'warning',
    text: '{path} was not made: {why}.',
  },
  'edges-aligned': {
    title: 'Edges moved to whole px',
    severity: 'note',
    text: 'Its edges were moved to whole px of the build, by {by} px at most; the mockup stays as it is.',
  },
  'picture-failed': {
    title: 'Pictures not drawn',
    severity: 'error',
    text: 'The picture {name} could not be drawn: {why}.',
  },
  'said-nearly': {
    title: 'Only near to what is drawn',
    severity: 'note',
    text: '{target} comes only near to what is drawn: {what}.',
  },
  'at-coordinates': {
    title: 'Parts at their coordinates',
    severity: 'note',
    text: 'No line separates its {count} parts, so they stand at their coordinates and do not move with longer words. Everything around it flows.',
  },
  'moved-as-said': {
    title: 'Parts that a chosen layout moves',
    severity: 'note',
    text: 'Its tag says its parts are {contents}: {count} of them stand elsewhere than they are drawn, the farthest by {px} px.',
  },
  'not-shown': {
    title: 'Screens not shown as they are drawn',
    severity: 'note',
    text: 'What the files of {target} draw is not shown, and no proof of it can be pulled: {why}.',
  },
} as const satisfies Record<string, { title: string; severity: Severity; text: string }>;

export type FindingCode = keyof typeof WORDING;
