export { issuesFrom, pathText, type Issue, type Reading } from './issue'
