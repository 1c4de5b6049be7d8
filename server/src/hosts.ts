export type HostRule = (host: string) => boolean

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '[::1]'])

/**
 * Which `Host` headers are answered: loopback at any port and the names given, so that a foreign page cannot reach
 * this server through a name of its own.
 */
export function allowedHosts(more: readonly string[]): HostRule {
  const names = new Set([...LOOPBACK, ...more.map((name) => name.toLowerCase())])
  return (host) => {
    const name = host.toLowerCase().replace(/:\d+$/, '')
    return names.has(name)
  }
}
