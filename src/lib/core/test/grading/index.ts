export { gradeOf, judgeGrade, type GradeLine, type GradeOutcome, type GradedCell } from './judge-grade';
