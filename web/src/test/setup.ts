import { configure } from "@testing-library/react";

// A slow machine is no failure.
configure({ asyncUtilTimeout: 10_000 });
