import { testAccess } from './access';

testAccess('desk');
