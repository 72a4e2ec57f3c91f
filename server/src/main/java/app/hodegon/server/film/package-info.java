/** What a film must be that is kept. */
package app.hodegon.server.film;
