/** Shapes of the questions, both ways: the same for HTTP and for the worker. */
export * from './api-requests'
export * from './api-responses'
