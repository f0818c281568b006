/** Teaching several families at once: questions about their own set-ups, with the answers. */
package app.layette.core.lesson;
