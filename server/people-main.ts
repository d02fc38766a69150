import { people } from './people';

const { DATABASE_URL } = process.env;

people(DATABASE_URL ?? '', process.argv.slice(2), new Date()).then(
  (text) => console.log(text),
  (error: Error) => {
    console.error(error.message);
    process.exit(1);
  },
);
