// npm run bench: performance claims, measured in this run and given as ratios.
import { chromiumPath, build, install, needChromium, node } from './setup.mjs'

install()
needChromium()
build()
node('node_modules/tsx/dist/cli.mjs', ['bench/pin-frames.ts'], { env: { ...process.env, CHROMIUM: chromiumPath() } })
