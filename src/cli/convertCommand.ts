import { treeOf } from '../core/mockup/tree';
import type { Conversion } from '../core/convert';
import { OUTCOME_NAMES, type Outcome } from '../core/sort/vocabulary';
import { plainFinding } from '../engine/manifest';
import type { Product } from '../engine/produce';
import { writeBuild } from './outputFolder';
import { writePictures } from './picturesCommand';
import { convertFile } from './convertFile';
import type { CommandInput, ConvertFlags } from './input';

/** `orden convert FILE --out DIR`: the whole conversion without a server or a database. */
export async function convertCommand(
  input: CommandInput,
  { out = '', json, force, 'pictures-only': picturesOnly }: ConvertFlags,
): Promise<void> {
  const start = performance.now();
  const { product, readMs } = await convertFile(input);
  if (picturesOnly) await writePictures(out, product);
  else await writeBuild(out, product.files, force);
  const summary = summarise(product, readMs, performance.now() - start);
  if (json) console.log(JSON.stringify(summary));
  else console.log(summaryText(summary, out));
}

function summarise(product: Product, readMs: number, totalMs: number) {
  const { conversion, pictures, findings, drawingMs } = product;
  const { ms } = conversion;
  const tree = treeOf(conversion.mockup);
  const times = { read: readMs, ...ms, pictures: ms.pictures + drawingMs, total: totalMs };
  return {
    screens: conversion.emission.screens,
    layers: countLayers(conversion),
    pictures,
    findings: findings.map((finding) => plainFinding(finding, tree)),
    ms: Object.fromEntries(Object.entries(times).map(([stage, time]) => [stage, Math.round(time * 10) / 10])),
  };
}

/** Layers by outcome; the content of a picture counts with it. */
function countLayers({ decisions }: Conversion): Record<'total' | Outcome, number> {
  const counts = {
    total: decisions.size,
    ...(Object.fromEntries(OUTCOME_NAMES.map((name) => [name, 0])) as Record<Outcome, number>),
  };
  for (const { outcome } of decisions.values()) counts[outcome] += 1;
  return counts;
}

function summaryText(
  { screens, layers, pictures, findings }: ReturnType<typeof summarise>,
  out: string,
): string {
  const names = screens.map((screen) => `${screen.name} (${screen.width}×${screen.height})`).join(', ');
  return [
    `Wrote ${names} into ${out}.`,
    `${layers.total} layers: ${layers.element} elements, ${layers.picture} in pictures, ${layers.aside} aside.`,
    `${pictures.length} picture files, ${findings.length} findings (see orden.json).`,
  ].join('\n');
}
