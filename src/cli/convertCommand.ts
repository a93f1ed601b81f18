import { readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Conversion } from '../core/convert';
import { TARGET_NAMES, type TargetName } from '../core/emit/target';
import { ARRANGEMENTS, type Arrangement } from '../core/page/node';
import { OUTCOME_NAMES, type Outcome } from '../core/sort/vocabulary';
import type { Tags } from '../core/sort/tag';
import { tagsFileSchema } from '../core/sort/tagSchema';
import { createFontBook } from '../engine/fonts/fontBook';
import { plainFinding } from '../engine/manifest';
import { readMockup } from '../engine/readMockup';
import { produce, type Product } from '../engine/produce';
import { writeFiles } from '../engine/writeFiles';
import { InputError, UsageError } from './errors';

interface ConvertFlags {
  readonly out?: string;
  readonly arrange: string;
  readonly target: string;
  readonly tags?: string;
  readonly json: boolean;
}

/** `orden convert FILE --out DIR`: the whole job without a server or a database. */
export async function convertCommand(files: readonly string[], flags: ConvertFlags): Promise<void> {
  const [file] = files;
  if (file === undefined || files.length > 1) throw new UsageError('Give one mockup file.');
  if (flags.out === undefined) throw new UsageError('Say with --out where the page is to be written.');
  const arrangement = oneOf<Arrangement>(flags.arrange, ARRANGEMENTS, '--arrange');
  const target = oneOf<TargetName>(flags.target, TARGET_NAMES, '--target');

  const start = performance.now();
  const bytes = await readInput(file);
  const tags = flags.tags === undefined ? new Map() : await readTags(flags.tags);
  const { mockup, assets, findings, book } = await readMockup(bytes, path.basename(file), {
    book: createFontBook(),
  });
  const readMs = performance.now() - start;
  const product = await produce({
    mockup,
    assets,
    tags,
    options: { arrangement, target },
    book,
    readFindings: findings,
  });
  await writeFiles(flags.out, product.files);
  const summary = summarise(product, readMs, performance.now() - start);
  if (flags.json) console.log(JSON.stringify(summary));
  else console.log(sayDone(summary, flags.out));
}

function oneOf<T extends string>(value: string, allowed: readonly T[], flag: string): T {
  const found = allowed.find((candidate) => candidate === value);
  if (found === undefined) throw new UsageError(`${flag} takes ${allowed.join(' or ')}, not "${value}".`);
  return found;
}

async function readInput(file: string): Promise<Uint8Array> {
  try {
    return await readFile(file);
  } catch (error) {
    const missing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
    throw new InputError(missing ? `There is no file ${file}.` : `The file ${file} could not be opened.`);
  }
}

async function readTags(file: string): Promise<Tags> {
  const text = new TextDecoder().decode(await readInput(file));
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    throw new InputError(`The tags file ${file} is no JSON.`);
  }
  const { value, error } = tagsFileSchema.validate(parsed);
  if (error) throw new InputError(`The tags file ${file} has a mistake: ${error.message}.`);
  return new Map(Object.entries(value));
}

function summarise(product: Product, readMs: number, totalMs: number) {
  const { conversion, pictures, findings, drawingMs } = product;
  const { ms } = conversion;
  const times = { read: readMs, ...ms, pictures: ms.pictures + drawingMs, total: totalMs };
  return {
    screens: conversion.emission.screens,
    layers: countLayers(conversion),
    pictures,
    findings: findings.map(plainFinding),
    ms: Object.fromEntries(Object.entries(times).map(([stage, time]) => [stage, Math.round(time * 10) / 10])),
  };
}

/** Layers by outcome; what is inside of a picture counts with it. */
function countLayers({ decisions }: Conversion): Record<'total' | Outcome, number> {
  const counts = {
    total: decisions.size,
    ...(Object.fromEntries(OUTCOME_NAMES.map((name) => [name, 0])) as Record<Outcome, number>),
  };
  for (const { outcome } of decisions.values()) counts[outcome] += 1;
  return counts;
}

function sayDone({ screens, layers, pictures, findings }: ReturnType<typeof summarise>, out: string): string {
  const names = screens.map((screen) => `${screen.name} (${screen.width}×${screen.height})`).join(', ');
  return [
    `Wrote ${names} into ${out}.`,
    `${layers.total} layers: ${layers.element} elements, ${layers.picture} in pictures, ${layers.aside} aside.`,
    `${pictures.length} picture files, ${findings.length} findings (see orden.json).`,
  ].join('\n');
}
