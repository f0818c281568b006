/** What wards and clinics exchange: FHIR R4, read and written with its reference library. */
package app.layette.formats.fhir;
