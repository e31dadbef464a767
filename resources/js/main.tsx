import { MutationCache, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider, type RouteObject } from 'react-router';
import { Frame } from './Frame';
import { ApiProblem } from './lib/api';
import { PageError } from './PageError';
import { setTheme, theme } from './lib/theme';
import { focusFirstError } from './lib/useFocusKept';

setTheme(theme());

const client = new QueryClient({
  // An act was refused: the person goes on at the first field that is wrong.
  mutationCache: new MutationCache({ onError: focusFirstError }),
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      retry: (count, error) => !(error instanceof ApiProblem && error.status >= 400 && error.status < 500) && count < 2,
    },
  },
});

const pages: RouteObject[] = [
  { index: true, lazy: async () => ({ Component: (await import('./desk/DeskPage')).DeskPage }) },
  { path: 'register', lazy: async () => ({ Component: (await import('./register/RegisterPage')).RegisterPage }) },
  { path: 'ledger', lazy: async () => ({ Component: (await import('./audit/LedgerPage')).LedgerPage }) },
  { path: 'items', lazy: async () => ({ Component: (await import('./structures/ItemsPage')).ItemsPage }) },
  { path: 'items/new', lazy: async () => ({ Component: (await import('./structures/NewItemPage')).NewItemPage }) },
  { path: 'import', lazy: async () => ({ Component: (await import('./imports/ImportPage')).ImportPage }) },
  {
    path: 'set-up/categories',
    lazy: async () => ({ Component: (await import('./setup/CategoriesPage')).CategoriesPage }),
  },
  {
    path: 'set-up/choices',
    lazy: async () => ({ Component: (await import('./setup/ChoicesPage')).ChoicesPage }),
  },
  {
    path: 'set-up/plants',
    lazy: async () => ({ Component: (await import('./setup/PlantsPage')).PlantsPage }),
  },
  {
    path: 'set-up/forms',
    lazy: async () => ({ Component: (await import('./setup/FormTemplatesPage')).FormTemplatesPage }),
  },
  {
    path: 'items/:number/sheet',
    lazy: async () => ({ Component: (await import('./documents/SheetPage')).SheetPage }),
  },
  {
    path: 'items/:number/sheet/against',
    lazy: async () => ({
      Component: (await import('./documents/compare/SheetComparisonPage')).SheetComparisonPage,
    }),
  },
  {
    path: 'items/:number/mark-up',
    lazy: async () => ({ Component: (await import('./documents/markup/MarkUpPage')).MarkUpPage }),
  },
  { path: 'items/:number', lazy: async () => ({ Component: (await import('./structures/ItemPage')).ItemPage }) },
  {
    path: 'compare',
    lazy: async () => ({ Component: (await import('./structures/compare/ComparePage')).ComparePage }),
  },
  { path: 'reports', lazy: async () => ({ Component: (await import('./problems/ReportsPage')).ReportsPage }) },
  {
    path: 'reports/new',
    lazy: async () => ({ Component: (await import('./problems/NewReportPage')).NewReportPage }),
  },
  {
    path: 'reports/:number',
    lazy: async () => ({ Component: (await import('./problems/ReportPage')).ReportPage }),
  },
  {
    path: 'requests/new',
    lazy: async () => ({ Component: (await import('./requests/NewRequestPage')).NewRequestPage }),
  },
  {
    path: 'orders/new',
    lazy: async () => ({ Component: (await import('./dossier/NewOrderPage')).NewOrderPage }),
  },
  {
    path: 'changes/:number',
    lazy: async () => ({ Component: (await import('./dossier/DossierPage')).DossierPage }),
  },
  { path: 'meeting', lazy: async () => ({ Component: (await import('./meeting/MeetingPage')).MeetingPage }) },
  {
    path: 'changes/:number/decision',
    lazy: async () => ({ Component: (await import('./meeting/DecisionPage')).DecisionPage }),
  },
  {
    path: 'changes/:number/forms',
    lazy: async () => ({ Component: (await import('./forms/FormsPage')).FormsPage }),
  },
  {
    path: 'changes/:number/money',
    lazy: async () => ({ Component: (await import('./economics/MoneyPage')).MoneyPage }),
  },
  {
    path: 'changes/:number/reach',
    lazy: async () => ({ Component: (await import('./reach/ReachPage')).ReachPage }),
  },
  {
    path: 'tasks/:number',
    lazy: async () => ({ Component: (await import('./tasks/TaskPage')).TaskPage }),
  },
  {
    path: 'notices',
    lazy: async () => ({ Component: (await import('./notices/NoticesPage')).NoticesPage }),
  },
  {
    path: 'change-notices/:number',
    lazy: async () => ({ Component: (await import('./changenotices/ChangeNoticePage')).ChangeNoticePage }),
  },
  {
    path: 'set-up/distribution',
    lazy: async () => ({ Component: (await import('./setup/DistributionPage')).DistributionPage }),
  },
  {
    path: 'account',
    lazy: async () => ({ Component: (await import('./account/AccountPage')).AccountPage }),
  },
  {
    path: 'absences',
    lazy: async () => ({ Component: (await import('./people/AbsencesPage')).AbsencesPage }),
  },
  {
    path: 'set-up/paths',
    lazy: async () => ({ Component: (await import('./setup/PathsPage')).PathsPage }),
  },
  {
    path: 'set-up/responsible',
    lazy: async () => ({ Component: (await import('./setup/ResponsiblePage')).ResponsiblePage }),
  },
  {
    path: 'set-up/people',
    lazy: async () => ({ Component: (await import('./setup/PeoplePage')).PeoplePage }),
  },
  {
    path: 'set-up/roles',
    lazy: async () => ({ Component: (await import('./setup/RolesPage')).RolesPage }),
  },
  {
    path: 'set-up/duties',
    lazy: async () => ({ Component: (await import('./setup/DutiesPage')).DutiesPage }),
  },
  {
    path: 'set-up/groups',
    lazy: async () => ({ Component: (await import('./setup/GroupsPage')).GroupsPage }),
  },
  {
    path: 'items/:number/model',
    lazy: async () => ({ Component: (await import('./models/ModelPage')).ModelPage }),
  },
  {
    path: 'set-up/webhooks',
    lazy: async () => ({ Component: (await import('./systems/WebhooksPage')).WebhooksPage }),
  },
  {
    path: 'set-up/hand-over-profiles',
    lazy: async () => ({ Component: (await import('./systems/ProfilesPage')).ProfilesPage }),
  },
  {
    path: 'set-up/channels/:code',
    lazy: async () => ({ Component: (await import('./systems/DeliveriesPage')).DeliveriesPage }),
  },
  {
    path: 'cut-ins',
    lazy: async () => ({ Component: (await import('./cutin/OutcomesPage')).OutcomesPage }),
  },
  {
    path: 'hand-overs',
    lazy: async () => ({ Component: (await import('./verification/HandoversPage')).HandoversPage }),
  },
  {
    path: 'orders/:number/documents',
    lazy: async () => ({ Component: (await import('./followthrough/OldDocumentsPage')).OldDocumentsPage }),
  },
  {
    path: 'changes/:number/cut-in',
    lazy: async () => ({ Component: (await import('./cutin/CutInPage')).CutInPage }),
  },
  {
    path: 'orders/:number/revise/:item',
    lazy: async () => ({ Component: (await import('./orders/RevisePage')).RevisePage }),
  },
  {
    path: 'orders/:number/worksheet',
    lazy: async () => ({ Component: (await import('./orders/worksheet/WorksheetPage')).WorksheetPage }),
  },
  {
    path: 'orders/:number/transfer',
    lazy: async () => ({ Component: (await import('./orders/transfer/TransferPage')).TransferPage }),
  },
  {
    path: 'relations/:number',
    lazy: async () => ({ Component: (await import('./relations/RelationsPage')).RelationsPage }),
  },
  {
    path: 'orders/:number/model',
    lazy: async () => ({ Component: (await import('./orders/model/ModelPage')).ModelPage }),
  },
  {
    path: 'orders/:number/replace',
    lazy: async () => ({ Component: (await import('./orders/replace/ReplacePage')).ReplacePage }),
  },
  {
    path: 'orders/:number/build/:item/:plant',
    lazy: async () => ({ Component: (await import('./orders/built/BuiltPage')).BuiltPage }),
  },
  {
    path: 'work-centres/:plant/:code',
    lazy: async () => ({ Component: (await import('./manufacturing/WorkCentrePage')).WorkCentrePage }),
  },
  {
    path: 'orders/:number/data/:item',
    lazy: async () => ({ Component: (await import('./orders/data/DataPage')).DataPage }),
  },
  {
    path: 'orders/:number/review',
    lazy: async () => ({ Component: (await import('./orders/ReviewPage')).ReviewPage }),
  },
  { path: '*', lazy: async () => ({ Component: (await import('./NotFoundPage')).NotFoundPage }) },
];

const router = createBrowserRouter([
  {
    // For whoever is not signed in.
    path: '/new-password',
    HydrateFallback: () => null,
    lazy: async () => ({ Component: (await import('./people/NewPasswordPage')).NewPasswordPage }),
  },
  {
    Component: Frame,
    ErrorBoundary: PageError,
    HydrateFallback: () => null,
    children: [
      {
        // A page that breaks leaves the masthead, and a way on.
        ErrorBoundary: PageError,
        children: pages,
      },
    ],
  },
]);

const place = document.getElementById('application');
if (place) {
  createRoot(place).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}
