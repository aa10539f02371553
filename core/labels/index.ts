export {
  labelLines,
  labelsOf,
  packsInto,
  type Filled,
  type Label,
  type Labelled,
  type LabelPlace,
} from './labels'
