import type { Routes } from '@angular/router';
import { provideVisits } from '../inspection/provide-visits';
import { VisitReview } from './visit-review';

export const routes: Routes = [{ path: '', providers: [provideVisits()], component: VisitReview }];
