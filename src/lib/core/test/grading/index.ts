export { type GradedCell, gradeOf, judgeGrade } from './judge-grade';
