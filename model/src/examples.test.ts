import * as contract from '@bold-ballast/contract'
import * as core from '@bold-ballast/core'
import { describeExamples } from '@bold-ballast/core/testing/describeExamples'
import * as model from './index'
import { EXAMPLE_VALUES } from './testing/exampleValues'

describeExamples(import.meta.dirname, { ...core, ...contract, ...model }, EXAMPLE_VALUES)
