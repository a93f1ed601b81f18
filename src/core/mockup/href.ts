/** True for an address that a page may link to; one that runs something is none. */
export function isSafeHref(href: string): boolean {
  return /^(?:https?:|mailto:|tel:|#|\/|\.|[\w-]+(?:[/.?#]|$))/i.test(href) && !/^javascript:/i.test(href);
}
