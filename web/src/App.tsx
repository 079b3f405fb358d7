import { lazy, Suspense } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { Toaster } from 'sonner'
import { BuildPage, ScrollToTop } from './frame/BuildPage'
import { ErrorBoundary } from './frame/ErrorBoundary'
import { RefusedEdits } from './frame/RefusedEdits'
import { GradePatterns } from './ui/grades'
import { later } from './ui/later'

const GarageRoom = later(() => import('./rooms/garage/GarageRoom'), 'GarageRoom')
const SharedPage = later(() => import('./shared/SharedPage'), 'SharedPage')
const RecordPage = later(() => import('./frame/RecordPage'), 'RecordPage')
const BoardRoom = lazy(() => import('./rooms/board/BoardRoom'))
const SwapsRoom = lazy(() => import('./rooms/swaps/SwapsRoom'))
const ScalesRoom = lazy(() => import('./rooms/scales/ScalesRoom'))
const DrivelineRoom = lazy(() => import('./rooms/driveline/DrivelineRoom'))
const ProofRoom = lazy(() => import('./rooms/proof/ProofRoom'))
const AeroRoom = lazy(() => import('./rooms/aero/AeroRoom'))
const DynoRoom = lazy(() => import('./rooms/dyno/DynoRoom'))

export function App() {
  return (
    <BrowserRouter>
      <GradePatterns />
      <ScrollToTop />
      <ErrorBoundary>
        <Suspense fallback={null}>
          <Routes>
            <Route path="/" element={<GarageRoom />} />
            <Route path="/builds/:buildId" element={<BuildPage />} />
            <Route path="/builds/:buildId/stages/:stageId" element={<BuildPage />}>
              <Route path="board" element={<BoardRoom />} />
              <Route path="swaps" element={<SwapsRoom />} />
              <Route path="scales" element={<ScalesRoom />} />
              <Route path="dyno" element={<DynoRoom />} />
              <Route path="driveline" element={<DrivelineRoom />} />
              <Route path="aero" element={<AeroRoom />} />
              <Route path="proof" element={<ProofRoom />} />
              <Route path="*" element={<BoardRoom />} />
            </Route>
            <Route path="/shared/:token" element={<SharedPage />} />
            <Route path="/record/:code" element={<RecordPage />} />
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
      </ErrorBoundary>
      <RefusedEdits />
      <Toaster
        position="bottom-right"
        toastOptions={{
          style: {
            background: 'var(--panel)',
            color: 'var(--ink)',
            border: '1px solid var(--edge)',
            fontFamily: 'Barlow',
          },
        }}
      />
    </BrowserRouter>
  )
}
