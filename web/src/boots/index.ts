/** A dog's boots wherever they are spoken of: outings in them, and getting used to them. */
export { BackFromOuting } from './BackFromOuting'
