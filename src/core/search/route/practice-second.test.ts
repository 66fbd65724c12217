import { testAnswers } from '../../../../testing/practice/answers';

testAnswers(1);
