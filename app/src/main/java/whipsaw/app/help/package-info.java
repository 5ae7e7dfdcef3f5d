/** What explains the application to its user: the glossary and the steps of a first job. */
package whipsaw.app.help;
