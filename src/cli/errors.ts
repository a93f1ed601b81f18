/** The command was called wrongly: exit status 2. */
export class UsageError extends Error {}

/** A file could not be used: exit status 1. */
export class InputError extends Error {}
