/** Runs once when the server starts: the queue's worker begins, whether somebody orders something or not. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs' || !process.env.DATABASE_URL) return;
  const { startJobs } = await import('./server/jobs/buildQueue');
  // A database that is away is no reason not to start: the next order tries again.
  await startJobs().catch((error: unknown) => console.error(error));
}
