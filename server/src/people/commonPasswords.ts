/**
 * Passwords of ten characters and more that are found again and again where passwords were lost, without capitals and
 * signs: a short list that ships with the program and asks nobody. What it does not name may still be a bad one.
 */
export const COMMON_PASSWORDS: ReadonlySet<string> = new Set(
  `
  password12 password123 password1234 password12345 passwordpassword passw0rd123 p4ssword123 mypassword mypassword1
  mypassword123 newpassword newpassword1 newpassword123 changeme123 changeme1234 changemenow letmein123 letmein1234
  letmeinnow letmeinplease welcome123 welcome1234 welcome2024 welcome2025 welcome2026 welcomeback administrator
  administrator1 administrator123 admin12345 admin123456 adminadmin adminpassword rootpassword superuser1 superadmin
  qwertyuiop qwertyuiop1 qwertyuiop123 qwerty1234 qwerty12345 qwerty123456 qwertyqwerty qazwsxedcrfv qazwsxedc1 1qaz2wsx3edc
  1q2w3e4r5t 1q2w3e4r5t6y zaq12wsxcde asdfghjkl1 asdfghjkl123 asdfasdfasdf zxcvbnm123 zxcvbnm1234 azertyuiop qwertzuiop
  1234567890 12345678910 0123456789 0987654321 9876543210 1122334455 1029384756 1234512345 1212121212 1231231234 1234567891
  abc1234567 abcd123456 abcdef1234 abcdefghij abcdefghijk a123456789 a1234567890 abc123456789 123456789a 123456789abc
  123456789q iloveyou12 iloveyou123 iloveyou1234 iloveyouforever ilovemyself iloveyousomuch ilovechocolate iloveyoubaby
  sunshine12 sunshine123 princess12 princess123 football12 football123 football1234 baseball12 baseball123 basketball
  basketball1 basketball123 volleyball liverpool1 liverpool123 arsenal123 chelsea123 manchester manchester1
  manchesterunited superman12 superman123 batman1234 spiderman1 spiderman123 starwars123 pokemon123 pikachu123 minecraft1
  minecraft123 master1234 monkey1234 dragon1234 shadow1234 jordan2323 michael123 michelle123 jennifer123 alexander1
  alexander123 christopher christopher1 christian1 elizabeth1 elizabeth123 charlotte1 charlotte123 benjamin123 nicholas123
  samantha123 jonathan123 victoria123 gabriella1 stephanie1 stephanie123 butterfly1 butterfly123 chocolate1 chocolate123
  strawberry strawberry1 blueberry1 cheesecake icecream123 cookies123 summer2024 summer2025 summer2026 winter2024
  winter2025 winter2026 spring2025 spring2026 autumn2025 autumn2026 january2026 december2025 whatever123 whatever1234
  trustno1234 trustnoone secret1234 secretsecret mysecret123 computer12 computer123 internet123 internet1234 samsung123
  google1234 facebook123 facebook1234 instagram1 linkedin123 test123456 testtest123 testing123 testing1234 default123
  temppassword temporary1 temporary123 guest12345 guestguest user123456 service123 office1234 kitchen123 kitchen1234
  restaurant restaurant1 restaurant123 pastrychef pastrychef1 headchef123 chefchef123 foodsafety foodsafety1
  foodsafety123 inspector1 inspector123 auditor123 bakery1234 bakery12345 password2024 password2025 password2026
  correcthorsebatterystaple correcthorse thisisapassword thisismypassword nopassword1 passwordless forgotpassword
  `
    .split(/\s+/)
    .filter(Boolean),
)
