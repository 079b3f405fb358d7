import { Suspense, type ReactNode } from 'react'
import { BrowserRouter, Navigate, Route, Routes, useLocation } from 'react-router'
import { BuildPage, ScrollToTop } from './frame/BuildPage'
import { ErrorBoundary } from './frame/ErrorBoundary'
import { NewVersion } from './frame/NewVersion'
import { NoPage, NoRoom } from './frame/NoRoom'
import { RefusedEdits } from './frame/RefusedEdits'
import { PAGES, ROOM_PAGES } from './pages'
import { useIsOut } from './store/me'
import { GradePatterns } from './ui/grades'
import { later } from './ui/later'
import { Toasts } from './ui/Toasts'

const SignInPage = later(() => import('./crew/SignInPage'), 'SignInPage')
/** What a link opens for whoever has it. */
const OPEN_TO_ALL = /^\/(shared\/|join\/|trust$)/

/** Lets nobody further who has to sign in first; the page that was asked for is there afterwards. */
function Gate({ children }: { children: ReactNode }) {
  const { pathname } = useLocation()
  const isOpenToAll = OPEN_TO_ALL.test(pathname)
  const isOut = useIsOut(isOpenToAll)
  return isOut ? <SignInPage /> : children
}

export function App() {
  return (
    <BrowserRouter>
      <GradePatterns />
      <ScrollToTop />
      <NewVersion />
      <ErrorBoundary>
        <Suspense fallback={null}>
          <Gate>
            <Routes>
              {Object.entries(PAGES).map(([path, Page]) => (
                <Route key={path} path={path} element={<Page />} />
              ))}
              <Route path="/builds/:buildId" element={<BuildPage />} />
              <Route path="/builds/:buildId/stages/:stageId" element={<BuildPage />}>
                {Object.entries(ROOM_PAGES).map(([path, Room]) => (
                  <Route key={path} path={path} element={<Room />} />
                ))}
                <Route index element={<Navigate to="board" replace />} />
                <Route path="*" element={<NoRoom />} />
              </Route>
              <Route path="*" element={<NoPage />} />
            </Routes>
          </Gate>
        </Suspense>
      </ErrorBoundary>
      <RefusedEdits />
      <Toasts />
    </BrowserRouter>
  )
}
