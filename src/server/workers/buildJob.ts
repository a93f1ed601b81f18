import { buildRecord } from '../../core/buildRecord';
import { layerLabel } from '../../core/look/layerLabel';
import { treeOf } from '../../core/mockup/tree';
import type { ConvertInput } from '../../core/convert';
import type { Mockup } from '../../core/mockup/mockup';
import type { Finding } from '../../core/findings/finding';
import { createFontBook } from '../../engine/fonts/fontBook';
import { givenFonts } from '../../engine/fonts/givenFonts';
import { plainFinding } from '../../engine/manifest';
import { produce, type OutputFile } from '../../engine/produce';
import type { BuildResult } from '../buildTypes';
import type { OnProgress } from '../../core/read/reading';

export interface BuildJob extends Pick<ConvertInput, 'assets' | 'tags' | 'options'> {
  /** The `Mockup` as JSON. */
  readonly tree: string;
  readonly findings: readonly Finding[];
}

export interface BuildOutput {
  readonly files: readonly OutputFile[];
  readonly result: BuildResult;
  /** The `BuildRecord` as JSON. */
  readonly record: Uint8Array;
}

/** Builds all files of a mockup. */
export async function build(
  { tree: text, assets, tags, options, findings }: BuildJob,
  onProgress: OnProgress,
): Promise<BuildOutput> {
  const mockup = JSON.parse(text) as Mockup;
  const { book } = createFontBook().withFonts(givenFonts(mockup, assets));
  const product = await produce({
    mockup,
    assets,
    tags,
    options,
    book,
    readFindings: findings,
    onProgress,
  });
  const { conversion, drawingMs } = product;
  const tree = treeOf(conversion.mockup);
  const [sheet] = mockup.screens;
  return {
    files: product.files,
    record: new TextEncoder().encode(JSON.stringify(buildRecord(conversion))),
    result: {
      sheet: { width: sheet?.width ?? 0, height: sheet?.height ?? 0 },
      screens: conversion.emission.screens,
      files: product.files.map(({ path, bytes }) => ({ path, size: bytes.length })),
      pictures: product.pictures,
      findings: product.findings.map((finding) => {
        const layer = finding.layer === null ? null : tree.layer(finding.layer);
        return {
          ...plainFinding(finding, tree),
          ...(layer && { id: layer.id, title: layerLabel(layer).text }),
        };
      }),
      ms: { ...conversion.ms, pictures: conversion.ms.pictures + drawingMs },
    },
  };
}
