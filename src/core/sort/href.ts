/** Addresses that a link may have: a place in the page, a file beside it, or one of the schemes that open nothing harmful. */
export const HREF = /^(?:(?:https?|mailto|tel):[^\s]+|#[^\s]*|(?![^/?#]*:)[^\s]+)$/i;
