import { answered, client } from './client'

/** Puts the invented machines and what lies on their shelf into an empty yard. */
export const addDemo = () => answered(client.POST('/api/demo'))
