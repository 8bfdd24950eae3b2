import { skarrow } from '../../demo/skarrow'
import type { Axis } from '../../document/axis'
import { runEdit } from '../../document/edit'
import type { PartOf } from '../../document/parts/types'
import { evaluateAxis } from '../../sheets/evaluateAxis'
import { choosePart } from '../driveEdits'
import { CATALOGUE, catalogueOf, MOST_SHOP_PARTS, NO_OWN_PARTS } from '.'
import { joinShopParts, readShopParts, withShopParts } from './shopParts'

const screw = CATALOGUE.screw.get('ball-20-5-double') as PartOf['screw']
const shops = { ...screw, id: 'shop-screw', name: 'Screw of the shop' }
const shopParts = readShopParts({ screw: JSON.stringify([shops]) })
const { job } = skarrow()
const [X] = job.axes as [Axis]
const stamp = { id: 'c', at: '2026-12-01T08:00:00.000Z' }

test('a kind of the list is read from its text, the others are empty', () => {
  expect(shopParts).toEqual({ ...NO_OWN_PARTS, screw: [shops] })
})

test('parts of a file are added to the list, and stand in the place of those with their id', () => {
  const dearer = { ...shops, priceEur: 999 }
  const other = { ...shops, id: 'other' }
  expect(joinShopParts<'screw'>([shops], [other])).toEqual([shops, other])
  expect(joinShopParts<'screw'>([shops, other], [dearer])).toEqual([other, dearer])
  const many = Array.from({ length: MOST_SHOP_PARTS }, (_, index) => ({ ...shops, id: `s${index}` }))
  expect(() => joinShopParts<'screw'>(many, [shops])).toThrow(
    /takes 20000 parts of a kind, and would have 20001/,
  )
})

test('a job takes with a part all that it rests on, once, and keeps it when the list is gone', () => {
  const catalogue = catalogueOf({ ...job, shopParts })
  expect(catalogue.screw.get('shop-screw')).toEqual(shops)
  expect(catalogueOf(job).screw.has('shop-screw')).toBe(false)
  const choose = (axis: Axis) => withShopParts(choosePart(axis, catalogue, 'screw', 'shop-screw'), shopParts)
  const first = runEdit(job, choose(X), stamp)
  expect(first.job.ownParts.screw.filter(({ id }) => id === 'shop-screw')).toEqual([shops])
  const second = runEdit(first.job, choose(first.job.axes[1] as Axis), stamp)
  expect(second.job.ownParts.screw.filter(({ id }) => id === 'shop-screw')).toHaveLength(1)
  const alone = evaluateAxis(second.job.axes[0] as Axis, catalogueOf(second.job), 'mm')
  expect(alone.part('screw').name).toBe('Screw of the shop')
  // A part that ships, and none at all, bring nothing.
  const plain = runEdit(job, withShopParts(choosePart(X, catalogue, 'screw', screw.id), shopParts), stamp)
  expect(plain.job.ownParts).toEqual(job.ownParts)
})
