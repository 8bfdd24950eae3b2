import { chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { numberOf } from '@/core/field/field'
import { CURRENCIES, currencyNow, PER_EURO } from '@/core/units/money'
import { Button } from '@/ui/controls'
import { Fold } from '@/ui/Fold'
import { keepCurrency } from '@/ui/fields/currency'
import { FieldInput } from '@/ui/fields/FieldInput'
import { SelectField } from '@/ui/fields/SelectField'
import { Note } from '@/ui/Note'
import { useUnits } from '../../job/JobContext'

const NAMES = typeof Intl === 'undefined' ? null : new Intl.DisplayNames('en', { type: 'currency' })
const CHOICES = CURRENCIES.map(code => ({
  value: code as string,
  label: `${code}, ${NAMES?.of(code) ?? code}`,
}))
const PER = numberOf('ratio')('One euro is', [PER_EURO.min, PER_EURO.max], { blank: 1 })

/** The money that this shop reckons in: prices are kept in euro, said and typed in it. */
export function MoneyField() {
  const now = currencyNow()
  const units = useUnits()
  const [code, setCode] = useState(now.code)
  const [perEuro, setPerEuro] = useState<number | null>(now.perEuro)
  const [problem, setProblem] = useState('')
  const isEuro = code === 'EUR'
  const isSame = code === now.code && (isEuro || perEuro === now.perEuro)
  const take = () => {
    try {
      keepCurrency({ code, perEuro: isEuro ? 1 : (perEuro ?? 1) })
    } catch {
      setProblem('Not kept: this browser keeps nothing. Prices stay as they are.')
    }
  }
  return (
    <Fold name={`Money of this shop: ${now.code}`}>
      <chakra.div display="flex" flexWrap="wrap" gap="3" alignItems="end">
        <SelectField
          label="Prices are said in"
          value={code}
          options={CHOICES}
          onChange={next => {
            setCode(next)
            // What a euro is worth in another money nobody has said yet.
            setPerEuro(next === now.code ? now.perEuro : next === 'EUR' ? 1 : null)
          }}
        />
        {!isEuro && (
          <FieldInput
            field={{ ...PER, orNone: true, unit: code }}
            value={perEuro}
            units={units}
            onValue={value => setPerEuro(value as number | null)}
          />
        )}
        <Button variant="outline" disabled={isSame || (!isEuro && perEuro === null)} onClick={take}>
          Use it in this browser
        </Button>
      </chakra.div>
      <Note mt="1">
        Prices are kept in euro, in files too; here they are said and typed at this rate. A price that was
        typed at another rate moves with it.
      </Note>
      <chakra.p role="alert" color="fails" fontWeight={700}>
        {problem}
      </chakra.p>
    </Fold>
  )
}
