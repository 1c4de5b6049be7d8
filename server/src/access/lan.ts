import { createServer as plainServer, type Server } from 'node:http'
import { createServer } from 'node:https'
import { hostname, networkInterfaces } from 'node:os'
import type { FastifyInstance } from 'fastify'
import type { Certificate } from './authority.ts'

const LOOPBACK: ReadonlySet<string> = new Set(['127.0.0.1', 'localhost', '::1'])
export const isLoopback = (host: string): boolean => LOOPBACK.has(host)

/** Names and addresses other devices may use for a server bound to `host`: the address itself, or all of this computer's. */
export function lanNames(host: string, more: readonly string[]): string[] {
  const bound = host === '0.0.0.0' || host === '::'
  const own = bound
    ? Object.values(networkInterfaces()).flatMap((all) => (all ?? []).filter(({ family, internal }) => family === 'IPv4' && !internal).map(({ address }) => address))
    : [host]
  const short = hostname().toLowerCase().split('.')[0] ?? ''
  const named = bound && short !== '' ? [short, `${short}.local`] : []
  return [...new Set([...own, ...named, ...more])]
} // prettier-ignore

const listening = (server: Server, host: string, port: number): Promise<void> =>
  new Promise((resolve, reject) => {
    server.once('error', reject)
    server.listen({ host, port }, resolve)
  })

const TRUST_PAGE = (cert: string, shop: string): string => `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Trust this shop</title>
<style>body{font:17px/1.45 system-ui,sans-serif;max-width:34em;margin:2em auto;padding:0 1em;color:#0f2322}a{display:inline-block;padding:.8em 1.2em;border:2px solid;background:#ffd21f;color:#0f2322;font-weight:700;text-decoration:none}li{margin:.5em 0}small{overflow-wrap:anywhere}</style></head>
<body><h1>Trust this shop</h1>
<p>Merry Tailor made a certificate of its own for this shop. Once this device trusts it, the bench opens here even while the shop’s computer is away.</p>
<p><a href="/merry-tailor.crt">The shop’s certificate</a></p>
<ol><li>Open the certificate and let it be installed. On a phone: under its settings, as a certificate authority; on some, trust for it is switched on in a second place.</li>
<li>Only on a device of the shop, and only when you stand in the shop’s own network: whoever holds the shop’s key could pose as any page of the shop.</li>
<li>Then open <a href="${shop}">${shop}</a></li></ol>
<p>Its fingerprint stands under Shop, Who gets in: compare it.</p><p><small>${cert}</small></p></body></html>`

/**
 * Opens the shop to other devices: HTTPS with the shop's own certificate, and a plain page that hands out the
 * certificate of its authority and nothing else.
 *
 * @returns how both are closed again
 */
export async function openToLan(
  app: FastifyInstance,
  { host, port, trustPort, tls, shop, fingerprint }: { host: string; port: number; trustPort: number; tls: Certificate & { authority: string }; shop: string; fingerprint: string },
): Promise<{ close: () => Promise<void> }> {
  const secure = createServer({ cert: tls.cert, key: tls.key, requestTimeout: 30_000 }, (request, reply) => app.routing(request, reply))
  const trust = plainServer((request, reply) => {
    reply.setHeader('content-security-policy', "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'")
    reply.setHeader('x-content-type-options', 'nosniff')
    if (request.method !== 'GET') return void reply.writeHead(405).end()
    if (request.url === '/merry-tailor.crt') return void reply.writeHead(200, { 'content-type': 'application/x-x509-ca-cert', 'content-disposition': 'attachment; filename="merry-tailor.crt"' }).end(tls.authority)
    return void reply.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(TRUST_PAGE(fingerprint, shop))
  })
  await listening(secure, host, port)
  await listening(trust, host, trustPort)
  const end = (server: Server): Promise<void> =>
    new Promise((resolve) => {
      server.close(() => resolve())
      server.closeAllConnections()
    })
  return {
    close: async () => {
      await Promise.all([end(secure), end(trust)])
    },
  }
} // prettier-ignore
