export { issuesFrom, pathText, type Issue, type Reading } from './issue'
export { issuesWithin, standTwice } from './within'
