/**
 * Asks for a mockup while the page's own scripts are still loading. Only where the page is opened anew: scripts in what
 * a link leads to are not run, so that nothing old is shown there.
 */
export function EarlyRequest({ mockupId }: { readonly mockupId: string }) {
  // The id comes from the address line: anything else than an id stays out of the script.
  if (!/^[0-9a-f-]{36}$/.test(mockupId)) return null;
  const address = `/api/mockups/${mockupId}`;
  const code = `window.ordenEarly={address:"${address}",answer:fetch("${address}")};window.ordenEarly.answer.catch(()=>{})`;
  return <script dangerouslySetInnerHTML={{ __html: code }} />;
}
