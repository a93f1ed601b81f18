import { convert } from '../../convert';
import { readInside } from '../../../../tests/support/mockups';
import { READY_RECIPES } from './readyRecipes';
import { pictureRecipesSchema, type PictureRecipes } from './recipe';
import { recipeFiles, LARGEST_SIDE } from './recipeFiles';

const anchor = { name: 'icons/anchor', width: 24, height: 16, isVector: true };
const recipe = (name: string) => READY_RECIPES.find((each) => each.name === name)!;
const GULL = '<path id="gull" d="M10 10q10 -10 20 0q10 -10 20 0" fill="none" stroke="#222"/>';

function built(content: string, pictures: PictureRecipes = { recipes: [] }) {
  const { mockup, assets } = readInside(content);
  const options = { arrangement: 'nested', target: 'html', pictures } as const;
  const conversion = convert({ mockup, assets, tags: new Map(), options, outliner: null });
  return {
    html: conversion.emission.files[0]!.text,
    css: conversion.emission.files[1]!.text,
    paths: conversion.plan.pictures.flatMap(({ files }) => files.map(({ path }) => path)),
    findings: conversion.findings.map(({ code }) => code),
  };
}

describe('recipes', () => {
  // Px for one dp: Android, "Support different pixel densities", table of density qualifiers (from memory).
  it('give a platform its folders, names and sizes', () => {
    expect(
      recipeFiles(anchor, recipe('android')).files.map(({ path, width, height }) => [path, width, height]),
    ).toEqual([
      ['android/drawable-ldpi/anchor.png', 18, 12],
      ['android/drawable-mdpi/anchor.png', 24, 16],
      ['android/drawable-hdpi/anchor.png', 36, 24],
      ['android/drawable-xhdpi/anchor.png', 48, 32],
      ['android/drawable-xxhdpi/anchor.png', 72, 48],
      ['android/drawable-xxxhdpi/anchor.png', 96, 64],
    ]);
    expect(recipeFiles(anchor, recipe('ios')).files.map(({ path }) => path)).toEqual([
      'ios/icons/anchor.png',
      'ios/icons/anchor@2x.png',
      'ios/icons/anchor@3x.png',
    ]);
  });

  it('ask for widths and heights, with the other side in proportion', () => {
    const files = recipeFiles(anchor, {
      name: 'x',
      files: [
        { format: 'webp', size: '512w', lossless: true },
        { format: 'png8', size: '8h', prefix: 'small-', folder: 'thumbs' },
      ],
    }).files;
    expect(files).toMatchObject([
      { path: 'pictures/icons/anchor-512w.webp', width: 512, height: 341, lossless: true },
      { path: 'thumbs/icons/small-anchor-8h.png', width: 12, height: 8, palette: true },
    ]);
  });

  it('refuse what cannot be made, and say why', () => {
    const { files, refused } = recipeFiles(
      { ...anchor, isVector: false },
      {
        name: 'x',
        files: [
          { format: 'svg', size: '1x' },
          { format: 'png', size: '20000w' },
        ],
      },
    );
    expect(files).toEqual([]);
    expect(refused.map(({ why }) => why)).toEqual([
      expect.stringMatching(/^a bitmap has no vector form/),
      `it would be 20000×13333 px, and ${LARGEST_SIDE} is the most`,
    ]);
  });

  it.each([
    [{ recipes: [{ name: 'Bad Name', files: [{ format: 'png', size: '1x' }] }] }],
    [{ recipes: [{ name: 'x', files: [{ format: 'bmp', size: '1x' }] }] }],
    [{ recipes: [{ name: 'x', files: [{ format: 'png', size: 'huge' }] }] }],
    [{ recipes: [{ name: 'x', files: [{ format: 'png', size: '1x', folder: '../up' }] }] }],
    [{ recipes: [{ name: 'x', files: [] }] }],
  ])('are checked at the border: %j', (file) => {
    expect(pictureRecipesSchema.validate(file).error).toBeDefined();
  });
});

describe('pictures with recipes', () => {
  it('are said by a tag, and the page shows what is for it', () => {
    const { paths, html } = built(
      GULL.replace('id="gull"', 'data-name="gull [data-recipe=&quot;icon android&quot;]"'),
    );
    expect(paths.slice(0, 4)).toEqual([
      'pictures/gull.svg',
      'pictures/gull.png',
      'pictures/gull@2x.png',
      'android/drawable-ldpi/gull.png',
    ]);
    expect(html).toContain('src="pictures/gull.svg"');
    expect(html).not.toContain('srcset');
  });

  it('show something on the page even if their recipe is for something else', () => {
    const { paths, html } = built(GULL, { recipes: [], usual: ['ios'] });
    expect(paths[0]).toBe('pictures/gull.svg');
    expect(html).toContain('src="pictures/gull.svg"');
  });

  it('are chosen by browsers from formats and widths', () => {
    const { html, css } = built(GULL, { recipes: [], usual: ['responsive'] });
    expect(html).toMatch(
      /<picture>\s*<source type="image\/avif" srcset="pictures\/gull-480w\.avif 480w, [^"]+" sizes="\(max-width: 4\dpx\) 100vw, 4\dpx">\s*<source type="image\/webp"/,
    );
    expect(html).toMatch(/<img [^>]*src="pictures\/gull-480w\.jpg" srcset="pictures\/gull-480w\.jpg 480w/);
    expect(css).toContain('.screen picture {\n  display: contents;');
  });

  it('keep the first of two files of one name, and know no recipe that is not there', () => {
    const twice = {
      name: 'twice',
      files: [
        { format: 'svg', size: '1x' },
        { format: 'svg', size: '2x' },
      ],
    } as const;
    const { paths, findings } = built(GULL, { recipes: [twice], usual: ['twice', 'gone'] });
    expect(paths).toEqual(['pictures/gull.svg']);
    expect(findings).toEqual(expect.arrayContaining(['file-twice', 'recipe-unknown']));
  });
});
