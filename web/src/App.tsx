import { Suspense } from 'react'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import { BuildPage, ScrollToTop } from './frame/BuildPage'
import { ErrorBoundary } from './frame/ErrorBoundary'
import { RefusedEdits } from './frame/RefusedEdits'
import { PAGES, ROOM_PAGES } from './pages'
import { GradePatterns } from './ui/grades'
import { Toasts } from './ui/Toasts'

export function App() {
  return (
    <BrowserRouter>
      <GradePatterns />
      <ScrollToTop />
      <ErrorBoundary>
        <Suspense fallback={null}>
          <Routes>
            {Object.entries(PAGES).map(([path, Page]) => (
              <Route key={path} path={path} element={<Page />} />
            ))}
            <Route path="/builds/:buildId" element={<BuildPage />} />
            <Route path="/builds/:buildId/stages/:stageId" element={<BuildPage />}>
              {Object.entries(ROOM_PAGES).map(([path, Room]) => (
                <Route key={path} path={path} element={<Room />} />
              ))}
              <Route path="*" element={<ROOM_PAGES.board />} />
            </Route>
            <Route path="*" element={<Navigate to="/" replace />} />
          </Routes>
        </Suspense>
      </ErrorBoundary>
      <RefusedEdits />
      <Toasts />
    </BrowserRouter>
  )
}
