import Joi from 'joi';
import { parseQuery } from '../../core/sort/find/query';
import { pool } from '../db/pool';
import { getMockup } from '../db/tables/mockups';
import { insertView, keptViews, removeView } from '../db/tables/views';
import { NOT_FOUND, Refusal } from '../http';

export const viewSchema = Joi.object<{ query: string }>({
  query: Joi.string().trim().min(1).max(300).required(),
});

export interface KeptViews {
  readonly views: readonly string[];
}

/** Saves a query as a view of the mockup; an existing one stays. */
export async function keepView(mockupId: string, query: string): Promise<KeptViews> {
  if (!(await getMockup(pool(), mockupId))) throw NOT_FOUND('This mockup');
  const { problem } = parseQuery(query);
  if (problem) throw new Refusal(422, problem);
  await insertView(pool(), mockupId, query);
  return { views: await keptViews(pool(), mockupId) };
}

export async function dropView(mockupId: string, query: string): Promise<KeptViews> {
  await removeView(pool(), mockupId, query);
  return { views: await keptViews(pool(), mockupId) };
}
