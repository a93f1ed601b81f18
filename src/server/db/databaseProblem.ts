/** Connections that fail, and a server that starts or stops (PostgreSQL, appendix A: class 08, 57P01–57P03). */
const AWAY = /^(?:08...|57P0[123]|ECONNREFUSED|ECONNRESET|EPIPE)$/;
/** No room for what is written (PostgreSQL, appendix A: 53100; errno(3)). */
const FULL = /^(?:53100|ENOSPC)$/;
/** What the driver says without a code. */
const AWAY_WORDS = /^(?:Connection terminated|timeout exceeded when trying to connect)/;

const AWAY_SENTENCE =
  'The database cannot be reached; Orden starts it again. What was saved is kept; try again in a moment.';
const FULL_SENTENCE = 'The disk is full; make room and try again. What was saved is kept.';

/** What is wrong with the database or its disk, in a sentence; null for any other error. */
export function databaseProblem(error: unknown): string | null {
  if (typeof error !== 'object' || error === null) return null;
  const { code = '', message = '', cause } = error as Readonly<Record<'code' | 'message' | 'cause', unknown>>;
  if (FULL.test(String(code))) return FULL_SENTENCE;
  if (AWAY.test(String(code)) || AWAY_WORDS.test(String(message))) return AWAY_SENTENCE;
  return databaseProblem(cause);
}
