/** Files for other programs: schedules as CSV and XLSX, the drawing as DXF. */
package whipsaw.app.export;
