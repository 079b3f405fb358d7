import { Choose } from '../../ui/Choose'
import { useChosenDay } from './useChosenDay'

/** Which day is looked at. */
export function ChooseDay() {
  const { days, day, choose } = useChosenDay()
  if (!day) return null
  return (
    <Choose
      label="Day"
      value={day.id}
      wide={false}
      options={days.map((d) => [d.id, `${d.date} ${d.name}${d.planned ? ', to come' : ''}`] as const)}
      onChange={(id) => id && choose(id)}
    />
  )
}
