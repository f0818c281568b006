/** Moving the harness to other slots, one webbing at a time. */
@org.springframework.modulith.ApplicationModule(displayName = "Rethread")
package app.layette.web.rethread;
