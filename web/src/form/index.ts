/** Forms and rankings worked out beside the page. */
export { DogOutline } from './DogOutline'
export { prepareForms } from './form-desk'
export { useRankAll, useSettled } from './use-beside'
export { useForm, useFormReading } from './use-form'
