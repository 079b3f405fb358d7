import type { ReactNode } from 'react'
import { Plates } from '../ui/Plates'

/** A page before anybody is in: the name of the house, and one thing to do. */
export function Door({ title, children }: { title: string; children: ReactNode }) {
  return (
    <>
      <header className="flex h-[52px] items-center gap-2 bg-rail px-5 text-on-rail max-md:px-3">
        <Plates />
        <span className="figure text-[20px] tracking-[0.02em]">Bold Ballast</span>
      </header>
      <main className="mx-auto max-w-[460px] px-4 py-10">
        <h1 className="mb-3 text-[28px]">{title}</h1>
        {children}
      </main>
    </>
  )
}
