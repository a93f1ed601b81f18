/**
 * Requests a mockup while the page's scripts are still loading. Only on a full page load: inline scripts do
 * not run after a client-side navigation, so no stale data is shown.
 */
export function EarlyRequest({ mockupId, nonce }: { readonly mockupId: string; readonly nonce: string }) {
  // The id comes from the URL: any other text stays out of the script.
  if (!/^[0-9a-f-]{36}$/.test(mockupId)) return null;
  const address = `/api/mockups/${mockupId}`;
  const code = `window.ordenEarly={address:"${address}",answer:fetch("${address}")};window.ordenEarly.answer.catch(()=>{})`;
  return <script nonce={nonce} dangerouslySetInnerHTML={{ __html: code }} />;
}
