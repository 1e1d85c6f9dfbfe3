import { index, layout, route, type RouteConfig } from '@react-router/dev/routes';

export default [
  index('routes/home.tsx'),
  route('sign-in', 'routes/sign-in.tsx'),
  route('sign-out', 'routes/sign-out.ts'),
  route('new-practice', 'routes/new-practice.tsx'),
  route('room', 'routes/room.ts'),
  route('find', 'routes/find.ts'),
  layout('routes/frame.tsx', [
    route('today', 'routes/today.tsx'),
    route('clients', 'routes/clients.tsx'),
    route('clients/new', 'routes/client/new.tsx'),
    route('clients/:clientId', 'routes/client/client.tsx', [
      index('routes/client/relief.tsx'),
      route('visits', 'routes/client/visits.tsx'),
      route('measure', 'routes/client/measure.tsx'),
      route('details', 'routes/client/details.tsx'),
    ]),
    route('routines', 'routes/routines.tsx'),
    route('routines/:templateId', 'routes/routine.tsx'),
    route('visits/:visitId', 'routes/visit/visit.tsx', [
      index('routes/visit/resume.ts'),
      route('screen', 'routes/visit/screen.tsx'),
      route('assess', 'routes/visit/assess.tsx'),
      route('compose', 'routes/visit/compose.tsx'),
      route('guide', 'routes/visit/guide.tsx'),
      route('record', 'routes/visit/record.tsx'),
    ]),
    route('atlas/find-it', 'routes/find-it.tsx'),
    route('atlas/:kind?/:id?', 'routes/atlas.tsx'),
    route('*', 'routes/lost.tsx'),
  ]),
  route('visits/:visitId/save', 'routes/visit/save.ts'),
  route('visits/:visitId/run', 'routes/visit/run.ts'),
  route('visits/:visitId/score', 'routes/visit/score.ts'),
  route('visits/:visitId/outcome', 'routes/visit/outcome.ts'),
  route('routines/:templateId/file', 'routes/routine-file.ts'),
] satisfies RouteConfig;
