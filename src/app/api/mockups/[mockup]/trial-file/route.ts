import { fileEnding } from '@/core/pictures/picture';
import { fileResponse } from '@/server/fileResponse';
import { route } from '@/server/route';
import { trialFile, trialFileSchema } from '@/server/useCases/pictures';

/** A picture in a format and quality. */
export const GET = route({ id: 'mockup', query: trialFileSchema }, async ({ id, query, request }) => {
  const ending = fileEnding(query.format === 'png8' ? 'png' : query.format);
  return fileResponse(`trial.${ending}`, await trialFile(id, query, request.signal));
});
