import type { IncomingMessage } from 'node:http';
import proxyAddr from 'proxy-addr';

/**
 * Tells who sends a request: the other end of the socket, or, where that is one of the proxies that the configuration
 * names, who that proxy says it forwards for. A forwarded address from anybody else counts nothing.
 *
 * @param proxies Addresses or ranges (`10.0.0.0/8`) of our own proxies.
 * @throws TypeError for what is no address.
 */
export function addressTeller(proxies: readonly string[]): (request: IncomingMessage) => string {
  const trusted = proxyAddr.compile([...proxies]);
  return (request) => {
    // A browser of the same machine comes over either family; one address stands for it.
    const address = proxyAddr(request, trusted).replace(/^::ffff:/, '');
    return address === '::1' ? '127.0.0.1' : address;
  };
}
