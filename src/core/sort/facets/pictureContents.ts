import Joi from 'joi';
import { AUTOMATIC, choiceEditor, textAttribute, type FacetEntry } from './facet';

/** What is drawn in the box of a picture. */
export const PICTURE_CONTENTS = ['under', 'over', 'all'] as const;
export type PictureContents = (typeof PICTURE_CONTENTS)[number];

const WORDS: Readonly<Record<PictureContents, string>> = {
  under: 'it and what lies under it',
  over: 'it and what lies over it',
  all: 'all that is seen in its box',
};

/** Layers beside its own that a picture shows. */
export const pictureContents: FacetEntry<PictureContents> = {
  schema: Joi.string<PictureContents>().valid(...PICTURE_CONTENTS),
  attribute: textAttribute('data-picture-contents'),
  isShared: true,
  isCopied: true,
  current: (decision) => decision.pictureOverride.contents ?? null,
  search: null,
  editor: {
    ...choiceEditor<PictureContents>(
      'Picture shows',
      [...PICTURE_CONTENTS.map((value) => ({ value, label: WORDS[value] })), AUTOMATIC],
      'its own layers',
    ),
    isFor: ({ outcome }) => outcome === 'picture',
  },
};
