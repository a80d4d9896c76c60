import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["dist", "src/api/generated"] },
  ...tseslint.configs.recommended,
  hooks.configs.flat.recommended,
  {
    files: ["src/features/**", "src/app/**", "src/ui/**"],
    ignores: ["**/*.test.*"],
    rules: {
      "no-restricted-globals": ["error", { name: "fetch", message: "Go through src/api, which knows errors and the session." }],
    },
  },
);
