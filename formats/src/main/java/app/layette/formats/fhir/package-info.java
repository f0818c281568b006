/** What wards and clinics exchange: FHIR R4, read and written with its reference library. */
@NullMarked
package app.layette.formats.fhir;

import org.jspecify.annotations.NullMarked;
