// npm run copy: a checked copy of the shop's book into its drawer. npm run copy -- path/to/shop.sqlite for another book.
import { install, node } from './setup.mjs'

install()
node('node_modules/tsx/dist/cli.mjs', ['server/src/copy.ts', ...process.argv.slice(2)])
