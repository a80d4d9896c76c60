import { config } from "zod";

// The content policy forbids code made at run time, so zod is told not to try. Imported before any schema is made.
config({ jitless: true });
