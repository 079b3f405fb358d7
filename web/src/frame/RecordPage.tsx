import { Link, Navigate, useParams } from 'react-router'
import { problemOf, useRecordPlaceQuery } from '../store/api'
import { Header } from './Header'
import { roomPath } from './rooms'

/** Where the code on a sheet leads: to the record it was printed from. */
export function RecordPage() {
  const { code = '' } = useParams()
  const { data, error } = useRecordPlaceQuery(code)
  if (data) {
    const to = roomPath(data.buildId, data.stageId, 'proof')
    return <Navigate replace to={data.sealId ? `${to}?seal=${data.sealId}` : to} />
  }
  if (!error) return null
  return (
    <>
      <Header />
      <main className="p-8">
        <h1 className="text-[28px]">{problemOf(error).title}</h1>
        <p className="my-3">
          No sheet of this workshop has the code {code}. Look at it once more: it has eight letters and
          digits.
        </p>
        <Link to="/" className="text-blued underline">
          To the Garage
        </Link>
      </main>
    </>
  )
}
