import Joi from 'joi';
import { inTransaction, pool } from '../db/pool';
import { copyProject as copy, projectName, renameProject as rename } from '../db/tables/projects';
import { NOT_FOUND } from '../http';

export const projectSchema = Joi.object<{ readonly name: string }>({
  name: Joi.string().trim().min(1).max(120).required(),
});

export async function renameProject(id: string, name: string): Promise<{ id: string; name: string }> {
  if (!(await rename(pool(), id, name))) throw NOT_FOUND('This project');
  return { id, name };
}

/** Makes a copy of a project with its mockups as they are now. */
export function copyProject(id: string): Promise<{ id: string }> {
  return inTransaction(async (client) => {
    const name = await projectName(client, id);
    const made = name === null ? null : await copy(client, id, `${name} copy`);
    if (made === null) throw NOT_FOUND('This project');
    return { id: made };
  });
}
