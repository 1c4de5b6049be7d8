// npm run bench: performance claims, measured in this run and given as ratios.
import { chromiumPath, build, install, needChromium, node } from './setup.mjs'

install()
needChromium()
build()
for (const bench of ['form', 'lay', 'draft', 'pattern', 'paws', 'choose', 'first-load', 'server-cost', 'browser-cost', 'pin-frames', 'keystroke', 'fuzz'])
  node('node_modules/tsx/dist/cli.mjs', [`bench/${bench}.ts`], { env: { ...process.env, CHROMIUM: chromiumPath() } })
