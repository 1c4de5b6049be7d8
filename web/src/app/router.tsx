import { createBrowserRouter, Navigate } from 'react-router'
import { MeasureStage } from '../ticket/measure/MeasureStage'
import { TicketFrame, TicketStart } from '../ticket/TicketFrame'
import { TodayPage } from '../today/TodayPage'
import { Root } from './Root'
import { RouteProblem } from './RouteProblem'

/** Today and the tape come with the first load; every other room when its door is opened. */
const room =
  <K extends string>(load: () => Promise<Record<K, React.ComponentType>>, name: K) =>
  async () => ({ Component: (await load())[name] })

export const router = createBrowserRouter([
  {
    element: <Root />,
    errorElement: <RouteProblem />,
    HydrateFallback: () => null,
    children: [
      { path: '/', element: <TodayPage /> },
      { path: '/dogs', lazy: room(() => import('../dogs/DogsPage'), 'DogsPage') },
      { path: '/dogs/bring-in', lazy: room(() => import('../dogs/BringIn'), 'BringIn') },
      { path: '/dogs/:dogId', lazy: room(() => import('../dogs/DogPage'), 'DogPage') },
      { path: '/sizes/paste', lazy: room(() => import('../tables/PastePage'), 'PastePage') },
      { path: '/sizes/new', lazy: room(() => import('../tables/TableEditor'), 'TableEditor') },
      { path: '/sizes/:tableId/edit', lazy: room(() => import('../tables/TableEditor'), 'TableEditor') },
      { path: '/gear', lazy: room(() => import('../gear/GearPage'), 'GearPage') },
      { path: '/sizes', lazy: room(() => import('../tables/SizesPage'), 'SizesPage') },
      { path: '/shop', lazy: room(() => import('../settings/SettingsPage'), 'SettingsPage') },
      { path: '/round', lazy: room(() => import('../round/RoundPage'), 'RoundPage') },
      { path: '/round/sheet', lazy: room(() => import('../round/YardSheet'), 'YardSheet') },
      { path: '/round/entry', lazy: room(() => import('../round/RoundEntry'), 'RoundEntry') },
      {
        path: '/tickets/:ticketId',
        element: <TicketFrame />,
        children: [
          { index: true, element: <TicketStart /> },
          { path: 'ask', lazy: room(() => import('../ticket/ask/AskStage'), 'AskStage') },
          { path: 'measure', element: <MeasureStage /> },
          { path: 'solo', lazy: room(() => import('../ticket/solo/SoloBench'), 'SoloBench') },
          { path: 'form', lazy: room(() => import('../ticket/paper/MeasuringForm'), 'MeasuringForm') },
          { path: 'quick', lazy: room(() => import('../ticket/paper/QuickEntry'), 'QuickEntry') },
          { path: 'letters', lazy: room(() => import('../ticket/letters/LettersPage'), 'LettersPage') },
          { path: 'ask-back', lazy: room(() => import('../ticket/paper/AskBack'), 'AskBack') },
          { path: 'choose', lazy: room(() => import('../ticket/choose/ChooseStage'), 'ChooseStage') },
          { path: 'all-sizes', lazy: room(() => import('../ticket/all-sizes/AllSizesRoom'), 'AllSizesRoom') },
          { path: 'kinds', lazy: room(() => import('../ticket/kinds/KindsRoom'), 'KindsRoom') },
          { path: 'hitch', lazy: room(() => import('../ticket/hitch/HitchRoom'), 'HitchRoom') },
          { path: 'try-on', lazy: room(() => import('../ticket/try-on/TryOnStage'), 'TryOnStage') },
          { path: 'finish', lazy: room(() => import('../ticket/finish/FinishStage'), 'FinishStage') },
          { path: 'docket', lazy: room(() => import('../ticket/finish/Docket'), 'Docket') },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
])
