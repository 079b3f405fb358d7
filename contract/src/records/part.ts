import * as z from 'zod'
import {
  FINDING,
  FINDINGS,
  PART_CONDITION,
  PART_CONDITIONS,
  PART_PURPOSE,
  PART_PURPOSES,
  PART_STATE,
  PART_STATES,
  SYSTEM,
  SYSTEMS,
} from './choices'
import { defineKind } from './defineKind'
import { choice, field } from './field'
import * as f from './fields'

/** What was found on a part that was inspected, and what mending it would cost. */
const finding = z.strictObject({
  what: choice(FINDINGS, FINDING, 'Found', 'Choose what was found.'),
  where: f.words('Where', 120),
  cost: field(f.price.nullable(), { label: 'Would cost' }),
  time: field(f.workTime('3 h').nullable(), { label: 'Would take', unit: 'h' }),
})

/** A part that is to come: wanted, ordered, due, arrived, fitted or sent back. */
export const part = defineKind({
  name: 'part',
  within: 'stage',
  isFrozen: false,
  isLogged: true,
  words: { one: 'part to come', many: 'parts to come' },
  sortedBy: 'order',
  most: 5000,
  fields: {
    name: field(f.name, { label: 'Part' }),
    order: f.order,
    purpose: choice(PART_PURPOSES, PART_PURPOSE, 'For', 'Choose what it is for.'),
    system: choice(SYSTEMS, SYSTEM, 'System', 'Choose the system it belongs to.'),
    state: choice(PART_STATES, PART_STATE, 'It is', 'Choose how far it has got.'),
    quantity: field(f.count(10_000, 'At most 10,000 pieces.'), { label: 'Pieces' }),
    /** How many came, where an order came short. */
    came: field(z.int('Type how many.').min(0, 'Not below zero.').max(10_000, 'At most 10,000.').nullable(), {
      quantity: 'number',
      label: 'Came',
      hint: 'Empty: all of them',
    }),
    supplier: f.words('From whom', 120),
    condition: choice(PART_CONDITIONS, PART_CONDITION, 'Condition', 'Choose new, used or rebuilt.'),
    /** Of one piece, and how it is known: a guess, a quote, or what was paid. */
    price: field(f.price.nullable(), { label: 'Price of one piece', hint: 'Empty while nobody asked' }),
    priceGrade: choice(
      ['guess', 'claim', 'measured'],
      { guess: 'guessed', claim: 'quoted', measured: 'paid' },
      'Price is',
      'Choose guessed, quoted or paid.',
    ),
    orderedOn: field(f.date.nullable(), { label: 'Ordered on' }),
    /** The day that is promised now, and the one that was promised first. */
    promisedFor: field(f.date.nullable(), { label: 'Due on', hint: 'As promised now' }),
    promisedFirst: field(f.date.nullable(), { label: 'Promised first for', hint: 'Kept, to compare' }),
    arrivedOn: field(f.date.nullable(), { label: 'Arrived on' }),
    /** From the order until it is there, s, while nothing is promised. */
    lead: field(
      z
        .number('Type a time in days, such as 14.')
        .min(0, 'It can’t be below zero.')
        .max(1.6e8, 'Over five years: check the unit.')
        .nullable(),
      { quantity: 'time', unit: 'd', label: 'Takes to come', hint: 'Once it is ordered; two weeks if empty' },
    ),
    lineId: f.linkTo('line', 'The planned part'),
    componentId: f.linkTo('component', 'Takes the place of'),
    findings: field(z.array(finding).max(40, 'At most 40 findings.'), {
      label: 'Looked over',
      many: 'findings',
    }),
    note: f.note,
  },
  check: (record) =>
    record
      .refine((p) => p.promisedFor === null || p.orderedOn === null || p.orderedOn <= p.promisedFor, {
        path: ['promisedFor'],
        message: 'It is due before it was ordered.',
      })
      .refine((p) => p.arrivedOn === null || p.orderedOn === null || p.orderedOn <= p.arrivedOn, {
        path: ['arrivedOn'],
        message: 'It can’t have arrived before it was ordered.',
      })
      .refine((p) => p.came === null || p.came <= p.quantity, {
        path: ['came'],
        message: 'No more can have come than were ordered.',
      }),
})
