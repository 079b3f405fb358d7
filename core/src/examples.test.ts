import * as core from './index'
import { describeExamples } from './testing/describeExamples'
import { EXAMPLE_VALUES } from './testing/exampleValues'

describeExamples(import.meta.dirname, core, EXAMPLE_VALUES)
