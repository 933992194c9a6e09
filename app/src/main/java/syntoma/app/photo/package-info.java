/** Pictures, kept as files under the hash of what is in them: turned upright, made smaller, and without where they were taken. */
package syntoma.app.photo;
