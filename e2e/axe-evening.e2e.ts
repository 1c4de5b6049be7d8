import { test } from './bench-of-one.ts'
import { lookAtEveryScreen } from './every-screen.ts'

// Colours change with the theme, sizes do not: one size is enough here.
test('axe finds nothing serious on any screen in the evening', ({ page }) => lookAtEveryScreen(page, 'evening', [{ width: 1280, height: 800 }]))
