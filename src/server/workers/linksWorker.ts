import { parentPort, workerData } from 'node:worker_threads';
import { convert, type ConvertOptions } from '../../core/convert';
import { linkElements, type ElementLink } from '../../core/emit/html/links';
import { TARGETS } from '../../core/emit/targets';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { Tags } from '../../core/sort/tag';
import type { WorkerMessage } from './runWorker';

export interface LinksJob {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly tags: Tags;
  readonly options: ConvertOptions;
}

/** By page file. */
export type PageLinks = Readonly<Record<string, readonly ElementLink[]>>;

function links({ mockup, assets, tags, options }: LinksJob): PageLinks {
  const conversion = convert({ mockup, assets, tags, options, outliner: null });
  const target = TARGETS[options.target];
  const files = target.emit({ ...conversion, unit: options.unit ?? 'px', keyed: true });
  const pages = new Set(conversion.emission.screens.map(({ file }) => file));
  return Object.fromEntries(
    files.filter(({ path }) => pages.has(path)).map(({ path, text }) => [path, linkElements(text)]),
  );
}

const message: WorkerMessage<PageLinks> = { kind: 'result', result: links(workerData as LinksJob) };
parentPort?.postMessage(message);
