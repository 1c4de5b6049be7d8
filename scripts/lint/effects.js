// A rule of our own for oxlint: what an effect gives back is called when it ends, and browsers give promises back where
// the types say nothing is. An effect of one expression is held to braces, `void`, or a function that ends it.
const EFFECTS = new Set(['useEffect', 'useLayoutEffect'])

const givesNothingBack = (body) =>
  body.type === 'BlockStatement' || body.type === 'ArrowFunctionExpression' || (body.type === 'UnaryExpression' && body.operator === 'void')

export default {
  meta: { name: 'effects' },
  rules: {
    'no-value': {
      create: (context) => ({
        CallExpression({ callee, arguments: [effect] }) {
          if (callee.type !== 'Identifier' || !EFFECTS.has(callee.name)) return
          if (effect?.type === 'ArrowFunctionExpression' && !givesNothingBack(effect.body))
            context.report({ node: effect.body, message: 'An effect of one expression gives its value back: put braces or void.' })
        },
      }),
    },
  },
}
