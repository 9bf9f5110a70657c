@php
    $problems = [
        403 => ['Not yours to open', 'This belongs to a colleague, or to another school. Ask whoever gives the lesson, or the owner.'],
        404 => ['Nothing here', 'The address may be old, or something was put away. Start again from Today.'],
        419 => ['This page has been open too long', 'For safety the form has run out. Load the page again; marks that were made are kept.'],
        429 => ['Too many tries', 'Wait a minute, then try again.'],
        500 => ['Something broke on our side', 'Nothing you entered is lost. Try again; if it stays, the log of the server says more.'],
        503 => ['Noble Turn is out of reach for a moment', 'The server or its database is starting or busy. Marks stay on this device until it is back.'],
    ];
    [$title, $text] = $problems[$code];
@endphp
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Noble Turn</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <link rel="stylesheet" href="/problem.css">
</head>
<body>
    <main>
        <p class="code">{{ $code }}</p>
        <h1>{{ $title }}</h1>
        <p>{{ $text }}</p>
        <p><a href="/">Go to Today</a></p>
    </main>
</body>
</html>
