/** Passwords of ten characters and more that everybody tries first; lower case. */
const COMMON = new Set(
  `password12 password123 password1234 password12345 password123456 passw0rd12 passw0rd123 passwordpassword
  mypassword mypassword1 mypassword123 welcome123 welcome1234 welcome12345 letmein123 letmein1234 letmein12345
  administrator admin12345 admin123456 administrator1 changeme123 changeme1234 iloveyou12 iloveyou123 iloveyou1234
  qwertyuiop qwertyuiop1 qwertyuiop123 qwerty1234 qwerty12345 qwerty123456 1q2w3e4r5t 1q2w3e4r5t6y 1qaz2wsx3edc qazwsxedcrfv
  asdfghjkl1 asdfghjkl123 zxcvbnm123 abcdefghij abcdefghijk abcd123456 abc1234567 a123456789 aa12345678 student123 student1234
  teacher123 teacher1234 educator123 school1234 classroom1 classroom123 haircolour haircolour1 cosmetology cosmetology1
  superman123 princess123 football123 sunshine123 dragon12345 monkey12345 starwars123 computer123 internet123 whatever123`
    .split(/\s+/)
    .filter((password) => password.length >= 10),
);
/** Runs of a keyboard or of counting, both ways. */
const RUNS = ['01234567890123456789', 'abcdefghijklmnopqrstuvwxyz', 'qwertyuiopasdfghjklzxcvbnm'].flatMap(
  (run) => [run, [...run].reverse().join('')],
);
/** A password of so few different characters is one key held down. */
const FEW = 2;

/** Whether a password is among the first that are tried: a common one, a run, or one or two keys over and over. */
export function isCommonPassword(password: string): boolean {
  const plain = password.toLowerCase();
  return COMMON.has(plain) || RUNS.some((run) => run.includes(plain)) || new Set(plain).size <= FEW;
}
