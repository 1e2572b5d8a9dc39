import { createBrowserRouter, Navigate, type RouteObject } from 'react-router'
import { RouteProblem } from './RouteProblem'
import type { StepName } from './steps'

const OneMoment = () => <p style={{ padding: 40 }}>Loading …</p>

/** Each step comes when it is first looked at. */
const steps: Readonly<Record<StepName, () => Promise<{ readonly Component: React.ComponentType }>>> = {
  basis: async () => ({ Component: (await import('../steps/basis/BasisStep')).BasisStep }),
  building: async () => ({ Component: (await import('../steps/building/BuildingStep')).BuildingStep }),
  actions: async () => ({ Component: (await import('../steps/actions/ActionsStep')).ActionsStep }),
  paths: async () => ({ Component: (await import('../steps/paths/PathsStep')).PathsStep }),
  combinations: async () => ({
    Component: (await import('../steps/combinations/CombinationsStep')).CombinationsStep,
  }),
  envelopes: async () => ({ Component: (await import('../steps/envelopes/EnvelopesStep')).EnvelopesStep }),
  handover: async () => ({ Component: (await import('../steps/handover/HandoverStep')).HandoverStep }),
}

const shared = { errorElement: <RouteProblem />, hydrateFallbackElement: <OneMoment /> } satisfies RouteObject

export const router = createBrowserRouter([
  {
    ...shared,
    path: '/',
    lazy: async () => {
      const { loadProjects, ProjectsPage } = await import('./ProjectsPage')
      return { loader: loadProjects, Component: ProjectsPage }
    },
  },
  {
    ...shared,
    path: '/what-changed',
    lazy: async () => ({ Component: (await import('./WhatChangedPage')).WhatChangedPage }),
  },
  {
    ...shared,
    path: '/p/:project/print',
    lazy: async () => {
      const { loadProject, PrintPage } = await import('./ProjectPage')
      return { loader: loadProject, Component: PrintPage }
    },
  },
  {
    ...shared,
    path: '/p/:project',
    lazy: async () => {
      const { loadProject, ProjectPage } = await import('./ProjectPage')
      return { loader: loadProject, Component: ProjectPage }
    },
    // what is looked at stands in the address: changing it must not load the project again
    shouldRevalidate: ({ currentParams, nextParams }) => currentParams['project'] !== nextParams['project'],
    children: [
      { index: true, element: <Navigate to="building" replace /> },
      ...Object.entries(steps).map(([path, lazy]) => ({ path, lazy })),
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
])
