/** Forms and rankings worked out beside the page. */
export { DogOutline } from './DogOutline'
export { prepareForms } from './form-desk'
export { useRankAll } from './ranking-desk'
export { useForm, useFormReading } from './use-form'
