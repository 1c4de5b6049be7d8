export default { semi: false, singleQuote: true, printWidth: 160, htmlWhitespaceSensitivity: 'ignore' }
