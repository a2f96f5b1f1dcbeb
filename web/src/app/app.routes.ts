import type { Routes } from '@angular/router';
import { signedIn } from './people/signed-in.guard';

export const routes: Routes = [
  {
    path: 'sign-in',
    title: 'Sign in – Brave Comb',
    loadComponent: () => import('./people/sign-in').then((m) => m.SignIn),
  },
  {
    path: 'at-the-hive/hive/:hive',
    title: 'At the hive – Brave Comb',
    canActivate: [signedIn],
    loadComponent: () => import('./inspection/hive-door').then((m) => m.HiveDoor),
  },
  {
    path: 'at-the-hive/visit/:visit',
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
        data: { place: 'Ahead', view: 'Day sheet', strip: 'full' },
        loadComponent: () => import('./ahead/day-sheet').then((m) => m.DaySheetScreen),
      },
      {
        path: 'ahead/planner',
        title: 'Planner – Brave Comb',
        data: { place: 'Ahead', view: 'Planner', strip: 'compact' },
        loadComponent: () => import('./planning/planner').then((m) => m.Planner),
      },
      {
        path: 'ahead/planner/coverage',
        title: 'Coverage – Brave Comb',
        data: { place: 'Ahead', view: 'Planner', strip: 'compact' },
        loadComponent: () => import('./planning/coverage').then((m) => m.CoverageScreen),
      },
      {
        path: 'ahead/planner/terms',
        title: 'Times and limits – Brave Comb',
        data: { place: 'Ahead', view: 'Planner', strip: 'compact' },
        loadComponent: () => import('./planning/plan-terms').then((m) => m.PlanTermsScreen),
      },
      {
        path: 'ahead/planner/outbox',
        title: 'Outbox – Brave Comb',
        data: { place: 'Ahead', view: 'Planner', strip: 'compact' },
        loadComponent: () => import('./planning/outbox').then((m) => m.OutboxScreen),
      },
      {
        path: 'ahead/sessions',
        title: 'Sessions – Brave Comb',
        data: { place: 'Ahead', view: 'Sessions', strip: 'compact' },
        loadComponent: () => import('./ahead/my-sessions').then((m) => m.MySessionsScreen),
      },
      {
        path: 'messages',
        title: 'Messages – Brave Comb',
        data: { place: 'Ahead', strip: 'compact' },
        loadComponent: () => import('./people/messages').then((m) => m.MessagesScreen),
      },
      {
        path: 'ahead/season',
        title: 'Season – Brave Comb',
        data: { place: 'Ahead', view: 'Season', strip: 'compact' },
        loadComponent: () => import('./season/season-year').then((m) => m.SeasonYear),
      },
      {
        path: 'ahead/day/:date',
        title: 'Day – Brave Comb',
        data: { place: 'Ahead', view: 'Day', strip: 'compact' },
        loadComponent: () => import('./weather/day-page').then((m) => m.DayPageScreen),
      },
      {
        path: 'ahead/dues',
        title: 'Dues – Brave Comb',
        data: { place: 'Ahead', view: 'Dues', strip: 'full' },
        loadComponent: () => import('./care/dues').then((m) => m.Dues),
      },
      {
        path: 'ahead/forage',
        title: 'Forage – Brave Comb',
        data: { place: 'Ahead', view: 'Forage', strip: 'compact' },
        loadComponent: () => import('./season/forage-editor').then((m) => m.ForageEditor),
      },
      {
        path: 'ahead/seen',
        title: 'Seen – Brave Comb',
        data: { place: 'Ahead', view: 'Seen', strip: 'compact' },
        loadComponent: () => import('./season/seen').then((m) => m.Seen),
      },
      {
        path: 'ahead/weather',
        title: 'Weather – Brave Comb',
        data: { place: 'Ahead', view: 'Weather', strip: 'compact' },
        loadComponent: () => import('./weather/weather-page').then((m) => m.WeatherPage),
      },
      {
        path: 'ahead/:session',
        title: 'Day sheet – Brave Comb',
        data: { place: 'Ahead', view: 'Day sheet', strip: 'full' },
        loadComponent: () => import('./ahead/day-sheet').then((m) => m.DaySheetScreen),
      },
      {
        path: 'at-the-hive',
        title: 'At the hive – Brave Comb',
        data: { place: 'At the hive', strip: 'compact', openOnly: true },
        loadComponent: () => import('./inspection/visit-list').then((m) => m.VisitList),
      },
      {
        path: 'at-the-hive/live',
        title: 'Live – Brave Comb',
        data: { place: 'At the hive', view: 'Live', strip: 'compact' },
        loadComponent: () => import('./inspection/live-session').then((m) => m.LiveSessionScreen),
      },
      {
        path: 'at-the-hive/labels',
        title: 'Labels – Brave Comb',
        data: { place: 'At the hive', view: 'Labels', strip: 'compact' },
        loadComponent: () => import('./inspection/hive-labels').then((m) => m.HiveLabels),
      },
      {
        path: 'afterwards/questions',
        title: 'Questions – Brave Comb',
        data: { place: 'Afterwards', view: 'Questions', strip: 'compact' },
        loadComponent: () => import('./inspection/questions').then((m) => m.QuestionsScreen),
      },
      {
        path: 'afterwards/combs',
        title: 'Combs – Brave Comb',
        data: { place: 'Afterwards', view: 'Combs', strip: 'compact' },
        loadComponent: () => import('./inspection/combs').then((m) => m.CombsScreen),
      },
      {
        path: 'afterwards/yard-book',
        title: 'Yard book – Brave Comb',
        data: { place: 'Afterwards', view: 'Yard book', strip: 'compact' },
        loadComponent: () => import('./inspection/yard-book').then((m) => m.YardBookScreen),
      },
      {
        path: 'afterwards/predictions',
        title: 'Predictions – Brave Comb',
        data: { place: 'Afterwards', view: 'Predictions', strip: 'compact' },
        loadComponent: () => import('./inspection/predictions').then((m) => m.PredictionsScreen),
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
