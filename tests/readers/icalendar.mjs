/**
 * Reads a calendar from standard input with ical.js, a library of another house than the one that writes it, and says what stands in it:
 * every event, series unfolded with their exceptions, from one moment to another, as JSON in UTC.
 * node tests/readers/icalendar.mjs 2027-03-01T00:00:00Z 2028-03-01T00:00:00Z <calendar.ics
 */
import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';

const [from, until] = process.argv.slice(2, 4).map((moment) => Date.parse(moment));
const calendar = new ICAL.Component(ICAL.parse(readFileSync(0, 'utf8')));
for (const zone of calendar.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
const moment = (time) => time.toJSDate().toISOString().slice(0, 19) + 'Z';
const said = (event, start, end) => ({
    title: event.summary,
    starts_at: moment(start),
    ends_at: moment(end),
    where: event.location,
    status: event.component.getFirstPropertyValue('status'),
});
const found = events
    .filter((event) => !event.isRecurrenceException())
    .flatMap((event) => {
        if (!event.isRecurring()) return [said(event, event.startDate, event.endDate)];
        const all = [];
        const iterator = event.iterator();
        for (let next = iterator.next(); next && next.toJSDate().getTime() < until; next = iterator.next()) {
            const { item, startDate, endDate } = event.getOccurrenceDetails(next);
            all.push(said(item, startDate, endDate));
        }
        return all;
    })
    .filter((one) => Date.parse(one.ends_at) > from && Date.parse(one.starts_at) < until)
    .sort((a, b) => (a.starts_at < b.starts_at ? -1 : 1));
console.log(JSON.stringify(found));
