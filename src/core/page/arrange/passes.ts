import { browserFit } from '../browserFit/browserFit';
import { browserStrokes } from '../browserFit/browserStrokes';
import type { Arrangement } from '../frame';
import { rewritePage } from '../rewrite/rewritePage';
import { trimGroupBounds } from '../rewrite/trimGroupBounds';
import { flattenGroups } from './flattenGroups';
import { formFields } from './formFields';
import { withGround } from './flow/ground';
import { layOutPage } from './flow/layOutPage';
import { inferLineHeights } from './flow/lineHeights';
import { moveIntoGaps } from './flow/moveIntoGaps';
import { growOutOfFlowLines } from './flow/outOfFlow/growLines';
import { bringExactBack, setExactAside } from './flow/exactParts';
import { layOutOverrides } from './flow/overrides';
import { likenSiblings } from './flow/alike/likeSiblings';
import { inferTightLineHeights } from './flow/tightLines';
import { withOneMain } from './flow/oneMain';
import { alignNearEdges } from './flow/nearEdges';
import { findDescriptionLists } from './flow/descriptionLists';
import { findTables } from './flow/tables/findTables';
import { wholePx } from './flow/wholePx';
import { keepPressedWords } from './flow/pressedWords';
import { limitToVisibleRoom } from './flow/visibleRoom';
import { closeHeadingGaps } from './headingLevels';
import { nameLandmarks } from './landmarkNames';
import { inlineTextIntoBoxes } from './inlineText';
import { wrapListItems } from './listItems';
import type { Pass } from './pass';
import { pinScrolledContent, scrollViewports } from './scrollViewports';
import { joinSentences } from './sentences/joinSentences';
import { toLocalCoordinates } from './toLocalCoordinates';

const FLATTEN: Pass = {
  name: 'flatten-groups',
  gives: 'Groups stay only where they affect their content.',
  apply: flattenGroups,
};

const STROKES: Pass = {
  name: 'browser-strokes',
  gives: 'Strokes between px are lines where browsers draw them.',
  isFor: 'browsers',
  apply: (page) => ({ ...page, children: page.children.map(browserStrokes) }),
};

const REWRITE: Pass = {
  name: 'rewrite',
  gives: 'What several layers draw together is one node, and wrappers without a purpose are gone.',
  apply: rewritePage,
};

const TRIM: Pass = {
  name: 'trim-group-bounds',
  gives: 'Groups without a look end at the sides of the screen and of their content.',
  apply: trimGroupBounds,
};

const SCROLL: Pass = {
  name: 'scroll-viewports',
  gives: 'Scroll areas have the size that is seen of them, around what they hold.',
  apply: scrollViewports,
};

const FIELDS: Pass = {
  name: 'form-fields',
  gives: 'The value of a form control stands in its box.',
  apply: formFields,
};

const OVERRIDES: Pass = {
  name: 'lay-out-overrides',
  gives: 'Containers that a person set to be a row, a column or a grid are laid out.',
  apply: layOutOverrides,
};

const FLOW: readonly Pass[] = [
  REWRITE,
  TRIM,
  SCROLL,
  FIELDS,
  {
    name: 'set-exact-aside',
    gives: 'What a person wants exactly as drawn takes no part in the layout.',
    apply: setExactAside,
  },
  {
    name: 'join-sentences',
    gives: 'Texts that continue each other are one text.',
    apply: joinSentences,
  },
  {
    name: 'tight-line-heights',
    gives: 'Single lines are as high as the room that they have.',
    apply: inferTightLineHeights,
  },
  {
    name: 'line-heights',
    gives: 'Lines of one type have one line height.',
    apply: inferLineHeights,
  },
  {
    name: 'near-edges',
    gives: 'Edges that are nearly in line are in line.',
    apply: alignNearEdges,
  },
  {
    name: 'whole-px',
    gives: 'Edges, line heights and corners lie on whole px.',
    apply: wholePx,
  },
  {
    name: 'like-siblings',
    gives: 'Siblings that are built alike have their parts at the same places.',
    apply: likenSiblings,
  },
  {
    name: 'tables',
    gives: 'Rows whose parts stand in columns are a table.',
    apply: findTables,
  },
  {
    name: 'description-lists',
    gives: 'Rows of a name and its value are a description list.',
    apply: findDescriptionLists,
  },
  {
    name: 'move-into-gaps',
    gives: 'Nodes drawn over a gap between others stand in it.',
    apply: moveIntoGaps,
  },
  {
    name: 'ground',
    gives: 'The plain box behind all content is the ground of the page.',
    apply: withGround,
  },
  {
    name: 'one-main',
    gives: 'A page has one main region.',
    apply: withOneMain,
  },
  {
    name: 'heading-levels',
    gives: 'Headings have levels without gaps.',
    apply: closeHeadingGaps,
  },
  {
    name: 'lay-out',
    gives: 'Every container is a row, a column or a grid; intended overlaps are out of flow.',
    apply: layOutPage,
  },
  {
    name: 'pressed-words',
    gives: 'The words of a button stay on one line.',
    apply: keepPressedWords,
  },
  {
    name: 'visible-room',
    gives: 'Columns of words end at the edge of the screen.',
    apply: limitToVisibleRoom,
  },
  {
    name: 'pin-scrolled-content',
    gives: 'What scrolls begins at the start of its area.',
    apply: pinScrolledContent,
  },
  {
    name: 'grow-lines',
    gives: 'Lines out of flow have a side to which longer words grow.',
    apply: growOutOfFlowLines,
  },
  {
    name: 'bring-exact-back',
    gives: 'What a person wants exactly as drawn stands in its box at its coordinates.',
    apply: bringExactBack,
  },
];

/** What printers expect of every page. */
const FINISH: readonly Pass[] = [
  {
    name: 'landmark-names',
    gives: 'Regions of one kind have names that tell them apart.',
    apply: nameLandmarks,
  },
  {
    name: 'list-items',
    gives: 'Members of a list that cannot be items themselves stand in items.',
    apply: wrapListItems,
  },
  {
    name: 'inline-text',
    gives: 'A box with one text holds its words itself.',
    apply: inlineTextIntoBoxes,
  },
  {
    name: 'browser-fit',
    gives: 'Boxes and letters stand where browsers must have them to show what was drawn.',
    isFor: 'browsers',
    apply: browserFit,
  },
  {
    name: 'local-coordinates',
    gives: 'Places are px of the padding box of the parent.',
    apply: toLocalCoordinates,
  },
];

/** The passes of each arrangement in their order. Adding one is a file and an entry here. */
export const PASSES: Readonly<Record<Arrangement, readonly Pass[]>> = {
  fixed: [STROKES, FLATTEN, SCROLL, FIELDS, OVERRIDES, ...FINISH],
  nested: [STROKES, REWRITE, TRIM, SCROLL, FIELDS, OVERRIDES, ...FINISH],
  flow: [STROKES, ...FLOW, ...FINISH],
};
