/** An error response of the server, with its sentence. */
export class RequestError extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

declare global {
  interface Window {
    /** The request made before the page's scripts were loaded; see `EarlyRequest`. */
    ordenEarly?: { readonly address: string; readonly answer: Promise<Response> };
  }
}

/** The pending response of the early request; taken once. */
function takeEarly(address: string, { method }: RequestInit): Promise<Response> | null {
  const early = window.ordenEarly;
  if (method !== undefined || early?.address !== address) return null;
  delete window.ordenEarly;
  return early.answer;
}

/** Sends a request and gives the JSON of the response. */
export async function request<T>(address: string, init: RequestInit = {}): Promise<T> {
  let response: Response;
  try {
    response = await (takeEarly(address, init) ?? fetch(address, init));
  } catch {
    throw new RequestError(0, 'The server cannot be reached; check that Orden is running.');
  }
  const answer: unknown = await response.json().catch(() => null);
  if (!response.ok) {
    const said =
      typeof answer === 'object' && answer !== null && 'message' in answer ? String(answer.message) : '';
    throw new RequestError(response.status, said || `The server answered with status ${response.status}.`);
  }
  return answer as T;
}

export function postJson<T>(address: string, value: unknown): Promise<T> {
  return sendJson<T>('POST', address, value);
}

export function sendJson<T>(
  method: 'POST' | 'PUT' | 'PATCH',
  address: string,
  value: unknown,
  more: Pick<RequestInit, 'keepalive'> = {},
): Promise<T> {
  return request<T>(address, {
    ...more,
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(value),
  });
}

export function sentence(error: unknown): string {
  return error instanceof Error ? error.message : String(error);
}
