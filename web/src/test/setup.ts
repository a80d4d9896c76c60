import { configure } from "@testing-library/react";

// A machine that tests several modules at once draws slowly now and then; what never comes still fails.
configure({ asyncUtilTimeout: 8_000 });
