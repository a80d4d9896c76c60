import query from "@tanstack/eslint-plugin-query";
import a11y from "eslint-plugin-jsx-a11y";
import hooks from "eslint-plugin-react-hooks";
import tseslint from "typescript-eslint";

export default tseslint.config(
  { ignores: ["dist", "src/api/generated"] },
  ...tseslint.configs.recommended,
  hooks.configs.flat.recommended,
  a11y.flatConfigs.recommended,
  {
    rules: {
      // A page of one field, or a box just opened by a key, takes the keys at once.
      "jsx-a11y/no-autofocus": "off",
      // What scrolls must be reached by the keyboard; such a place is named as a region or group.
      "jsx-a11y/no-noninteractive-tabindex": [
        "error",
        { tags: [], roles: ["tabpanel", "region", "group", "list"] },
      ],
      // Sounds and clips are the director's own; there is no text to show beside them.
      "jsx-a11y/media-has-caption": "off",
    },
  },
  ...query.configs["flat/recommended"],
  {
    files: ["src/features/**", "src/app/**"],
    ignores: ["**/*.test.*"],
    rules: {
      "no-restricted-syntax": [
        "error",
        {
          selector:
            "JSXAttribute[name.name='className'] :matches(Literal[value=/(^|\\s)(btn|input|select|textarea|checkbox|radio|range|skeleton|dropdown|badge|modal|join-item)(-[a-z]+)*(\\s|$)/], TemplateElement[value.raw=/(^|\\s)(btn|input|select|textarea|checkbox|radio|range|skeleton|dropdown|badge|modal|join-item)(-[a-z]+)*(\\s|$)/])",
          message: "How things are drawn lies in src/ui; take a component or a name from ui/looks.",
        },
      ],
    },
  },
  {
    files: ["src/features/**", "src/app/**", "src/ui/**"],
    ignores: ["**/*.test.*"],
    rules: {
      "no-restricted-globals": [
        "error",
        { name: "fetch", message: "Go through src/api, which knows errors and the session." },
      ],
    },
  },
);
