<!doctype html>
<html lang="en" class="no-js">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1, viewport-fit=cover">
    <meta name="color-scheme" content="light dark">
    <meta name="theme-color" content="#f4f0e8" media="(prefers-color-scheme: light)">
    <meta name="theme-color" content="#15181c" media="(prefers-color-scheme: dark)">
    <title>Noble Turn</title>
    <link rel="icon" href="/favicon.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <link rel="manifest" href="/manifest.webmanifest">
    <script src="/theme.js"></script>
    @vite(['resources/css/app.css', 'resources/js/main.tsx'])
</head>
<body>
    <div id="root"></div>
    <noscript>Noble Turn needs JavaScript: all its scripts come from this address.</noscript>
</body>
</html>
