/** The nonce that the server gave this page for its styles. */
export const nonce = document.querySelector<HTMLElement>('meta[property="csp-nonce"]')?.nonce || undefined;

/** Gives every style element of the page the nonce: a few of Ant Design's helpers make theirs without it. */
export function stampStyles() {
  const create = document.createElement.bind(document) as typeof document.createElement;
  document.createElement = ((tag: string, options?: ElementCreationOptions) => {
    const element = create(tag, options);
    if (nonce && element instanceof HTMLStyleElement) {
      element.nonce = nonce;
    }
    return element;
  }) as typeof document.createElement;
}
