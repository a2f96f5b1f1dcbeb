import type { Routes } from '@angular/router';
import { signedIn } from './people/signed-in.guard';

export const routes: Routes = [
  {
    path: 'sign-in',
    title: 'Sign in – Brave Comb',
    loadComponent: () => import('./people/sign-in').then((m) => m.SignIn),
  },
  {
    path: 'at-the-hive/:visit',
    title: 'At the hive – Brave Comb',
    canActivate: [signedIn],
    loadComponent: () => import('./at-the-hive/at-the-hive').then((m) => m.AtTheHive),
  },
  {
    path: '',
    canActivate: [signedIn],
    loadComponent: () => import('./shell/shell').then((m) => m.Shell),
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'ahead' },
      {
        path: 'ahead',
        title: 'Day sheet – Brave Comb',
        data: { place: 'Ahead', strip: 'full' },
        loadComponent: () => import('./ahead/day-sheet').then((m) => m.DaySheetScreen),
      },
      {
        path: 'ahead/:session',
        title: 'Day sheet – Brave Comb',
        data: { place: 'Ahead', strip: 'full' },
        loadComponent: () => import('./ahead/day-sheet').then((m) => m.DaySheetScreen),
      },
      {
        path: 'at-the-hive',
        title: 'At the hive – Brave Comb',
        data: { place: 'At the hive', strip: 'compact', openOnly: true },
        loadComponent: () => import('./inspection/visit-list').then((m) => m.VisitList),
      },
      {
        path: 'afterwards',
        title: 'Afterwards – Brave Comb',
        data: { place: 'Afterwards', strip: 'compact' },
        loadComponent: () => import('./inspection/visit-list').then((m) => m.VisitList),
      },
      {
        path: 'afterwards/:visit',
        title: 'Visit review – Brave Comb',
        data: { place: 'Afterwards', strip: 'compact' },
        loadComponent: () => import('./afterwards/visit-review').then((m) => m.VisitReview),
      },
      {
        path: '**',
        title: 'Not found – Brave Comb',
        loadComponent: () => import('./shell/not-found').then((m) => m.NotFound),
      },
    ],
  },
];
