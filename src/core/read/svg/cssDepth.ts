import * as cssTree from 'css-tree';

const { Function: CALL, LeftParenthesis, LeftSquareBracket, LeftCurlyBracket } = cssTree.tokenTypes;
const { RightParenthesis, RightSquareBracket, RightCurlyBracket } = cssTree.tokenTypes;
const OPENS = new Set<number>([CALL, LeftParenthesis, LeftSquareBracket, LeftCurlyBracket]);
const CLOSES = new Set<number>([RightParenthesis, RightSquareBracket, RightCurlyBracket]);

/**
 * Whether blocks and brackets of a style sheet nest deeper than `limit` (CSS Syntax 3, §4). To be asked before the sheet
 * is parsed: the parser calls itself for each, and how deep it may go is up to the stack.
 */
export function nestsDeeper(text: string, limit: number): boolean {
  // Each level takes two characters.
  if (text.length <= 2 * limit) return false;
  let depth = 0;
  let deepest = 0;
  cssTree.tokenize(text, (type) => {
    if (OPENS.has(type)) deepest = Math.max(deepest, ++depth);
    else if (CLOSES.has(type)) depth = Math.max(0, depth - 1);
  });
  return deepest > limit;
}
