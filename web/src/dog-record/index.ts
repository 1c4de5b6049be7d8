/** A dog's own record, edited wherever it is at hand: at Ask and on its page. */
export { DogRecord } from './DogRecord'
