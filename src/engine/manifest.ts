import type { LayerId } from '../core/mockup/layer';
import { treeOf, type LayerTree } from '../core/mockup/tree';
import type { Conversion, ConvertOptions } from '../core/convert';
import { fontSupportOf } from '../core/emit/targets';
import { sayFinding, severityOf, type Finding } from '../core/findings/finding';
import type { Mockup } from '../core/mockup/mockup';
import { layersOf } from '../core/mockup/walk';
import { namedTags } from '../core/sort/names/namedTags';
import { mergeTags, type Tags } from '../core/sort/tag';
import { digestOf } from './digest';
import { licencePath } from './fonts/shipped';
import type { OutputFile, WrittenPicture } from './produce';

interface ManifestInput {
  readonly mockup: Mockup;
  readonly tags: Tags;
  readonly options: ConvertOptions;
  readonly conversion: Conversion;
  readonly pictures: readonly WrittenPicture[];
  readonly files: readonly OutputFile[];
  readonly findings: readonly Finding[];
}

/**
 * The package's list of contents, `orden.json`. It has no time and no machine name, so equal input gives
 * equal bytes.
 */
export function manifest(input: ManifestInput): string {
  const { mockup, tags, options, conversion, pictures, files, findings } = input;
  const tree = treeOf(mockup);
  const { screens, heldPictures } = conversion.emission;
  const contents = {
    mockup: mockup.name,
    arrangement: options.arrangement,
    target: options.target,
    screens,
    files: files.map(({ path, bytes }) => ({ path, bytes: bytes.length, sha256: digestOf(bytes) })),
    pictures,
    // Pictures that the pages hold themselves have no files.
    ...(heldPictures && { symbols: heldPictures }),
    fonts: conversion.fonts.map(({ path, family, weight, italic, source, file }) => ({
      path,
      family,
      weight,
      italic,
      source,
      ...(source === 'shipped' && { licence: licencePath(file, fontSupportOf(options.target)) }),
    })),
    tags: Object.fromEntries(
      [...mergeTags(namedTags(layersOf(mockup)), tags)].map(([layer, tag]) => [pathOf(layer, tree), tag]),
    ),
    findings: findings.map((finding) => plainFinding(finding, tree)),
  };
  return `${JSON.stringify(contents, null, 2)}\n`;
}

export interface PlainFinding {
  readonly code: string;
  readonly severity: string;
  /** The path of its layer; null for none. */
  readonly layer: string | null;
  readonly message: string;
}

/** A finding with its sentence, for people and other programs. */
export function plainFinding(finding: Finding, tree: LayerTree): PlainFinding {
  return {
    code: finding.code,
    severity: severityOf(finding),
    layer: finding.layer === null ? null : pathOf(finding.layer, tree),
    message: sayFinding(finding),
  };
}

/** The path of a layer for people; the id of one that the mockup does not have. */
function pathOf(layer: LayerId, tree: LayerTree): string {
  return tree.layer(layer)?.path ?? layer;
}
