/** True for an address that a page may link to. Script addresses are never allowed. */
export function isSafeHref(href: string): boolean {
  return /^(?:https?:|mailto:|tel:|#|\/|\.|[\w-]+(?:[/.?#]|$))/i.test(href) && !/^javascript:/i.test(href);
}
