// npm start: the application with its own, empty book.
import { build, install } from './setup.mjs'
import { serve, stayWith } from './serve.mjs'

install()
build()
const { child, address } = serve({})
address.catch(() => process.exit(1))
stayWith(child)
