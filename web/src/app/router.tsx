import { createBrowserRouter, Navigate } from 'react-router'
import { DogPage } from '../dogs/DogPage'
import { DogsPage } from '../dogs/DogsPage'
import { SettingsPage } from '../settings/SettingsPage'
import { SizesPage } from '../tables/SizesPage'
import { AskStage } from '../ticket/ask/AskStage'
import { ChooseStage } from '../ticket/choose/ChooseStage'
import { Docket } from '../ticket/finish/Docket'
import { FinishStage } from '../ticket/finish/FinishStage'
import { MeasureStage } from '../ticket/measure/MeasureStage'
import { TicketFrame, TicketStart } from '../ticket/TicketFrame'
import { TryOnStage } from '../ticket/try-on/TryOnStage'
import { TodayPage } from '../today/TodayPage'
import { Root } from './Root'
import { RouteProblem } from './RouteProblem'

export const router = createBrowserRouter([
  {
    element: <Root />,
    errorElement: <RouteProblem />,
    children: [
      { path: '/', element: <TodayPage /> },
      { path: '/dogs', element: <DogsPage /> },
      { path: '/dogs/:dogId', element: <DogPage /> },
      { path: '/sizes', element: <SizesPage /> },
      { path: '/shop', element: <SettingsPage /> },
      {
        path: '/tickets/:ticketId',
        element: <TicketFrame />,
        children: [
          { index: true, element: <TicketStart /> },
          { path: 'ask', element: <AskStage /> },
          { path: 'measure', element: <MeasureStage /> },
          { path: 'choose', element: <ChooseStage /> },
          { path: 'try-on', element: <TryOnStage /> },
          { path: 'finish', element: <FinishStage /> },
          { path: 'docket', element: <Docket /> },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
])
