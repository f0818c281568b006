/** How the core's values look in JSON: quantities as they were typed, evidence as stated or silent, enums in camel case. */
package app.layette.formats.json;
