/** What changes the list of jobs: with the rules of documents in it, it comes after the list stands there. */
export const jobsLater = () => import('@/store/jobs')
