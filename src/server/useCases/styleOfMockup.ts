import { styleInWorker } from '../workers/workers';
import { mockupState, treeOfRevision } from './mockupState';

/** The style sheet of a mockup with its tags and options as they are now, a `StyleBook` as JSON. */
export async function styleOfMockup(id: string): Promise<string> {
  const { revision, tags, options } = await mockupState(id);
  return styleInWorker({ tree: await treeOfRevision(revision.id), tags, options });
}
