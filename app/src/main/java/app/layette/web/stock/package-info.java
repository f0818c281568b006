/** The actual seats that a fitting point keeps: lent, taken back, washed, counted, taken out of use. */
@NullMarked
@org.springframework.modulith.ApplicationModule(displayName = "Stock")
package app.layette.web.stock;

import org.jspecify.annotations.NullMarked;
