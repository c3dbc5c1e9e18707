/** Shapes of the questions, both ways: the same for HTTP and for the worker. */
export * from './day'
export * from './requests'
export * from './responses'
