/** On the road (JRN): how long at a time, and where the stops fall. */
package app.layette.core.journey;
