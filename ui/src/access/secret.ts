/** Takes a secret out of the address, so that it is no longer there; no server was ever told. */
export function takeSecret(): string {
  const secret = decodeURIComponent(window.location.hash.slice(1));
  if (secret !== '') {
    window.history.replaceState(window.history.state, '', window.location.pathname + window.location.search);
  }
  return secret;
}
