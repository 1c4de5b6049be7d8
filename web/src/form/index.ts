/** Forms and rankings worked out beside the page. */
export { DogOutline } from './DogOutline'
export { foretellBeside, prepareForms } from './form-desk'
export { useCrates, useForetold, useRankAll, useSettingPlan, useSettled, useWayIn } from './use-beside'
export { useForm, useFormReading } from './use-form'
