export {
  labelLines,
  labelsOf,
  packsInto,
  type Label,
  type Labelled,
  type LabelPlace,
} from './labels'
