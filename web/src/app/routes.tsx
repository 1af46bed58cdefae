import { createBrowserRouter } from 'react-router'
import { Frame } from './Frame'
import { Lost } from './Lost'
import { ToNotebook } from './ToNotebook'

/** Every place is a chunk of its own; the address names notebook, prep and station, so a link lands in place. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <Frame />,
    errorElement: <Lost />,
    children: [
      { index: true, element: <ToNotebook place="" /> },
      ...['preps', 'unknowns', 'instruments', 'shelf'].map((place) => ({
        path: place,
        element: <ToNotebook place={`/${place}`} />,
      })),
      {
        path: 'n/:notebook',
        children: [
          { index: true, lazy: async () => ({ Component: (await import('../places/today/Today')).Today }) },
          { path: 'preps', lazy: async () => ({ Component: (await import('../places/preps/Preps')).Preps }) },
          {
            path: 'preps/:prep/:station?',
            lazy: async () => ({ Component: (await import('../places/prep/Prep')).Prep }),
          },
          {
            path: 'instruments/:instrument?',
            lazy: async () => ({
              Component: (await import('../places/instruments/Instruments')).Instruments,
            }),
          },
          {
            path: 'melts/:melt',
            lazy: async () => ({ Component: (await import('../places/melt/MeltPage')).MeltPage }),
          },
          {
            path: 'unknowns',
            lazy: async () => ({ Component: (await import('../places/unknowns/Unknowns')).Unknowns }),
          },
          {
            path: 'unknowns/:unknown/:station?',
            lazy: async () => ({ Component: (await import('../places/unknowns/Case')).Case }),
          },
          {
            path: 'plates/:plate',
            lazy: async () => ({ Component: (await import('../places/plates/PlatePage')).PlatePage }),
          },
          {
            path: 'explained',
            lazy: async () => ({ Component: (await import('../places/explained/Explained')).Explained }),
          },
          {
            path: 'for-instructors',
            lazy: async () => ({
              Component: (await import('../places/explained/Instructors')).Instructors,
            }),
          },
          { path: 'shelf', lazy: async () => ({ Component: (await import('../places/shelf/Shelf')).Shelf }) },
        ],
      },
      { path: '*', element: <Lost /> },
    ],
  },
])
