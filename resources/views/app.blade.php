<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#1f2a33">
    <title>Gravik</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    <link rel="manifest" href="/manifest.webmanifest">
    <link rel="apple-touch-icon" href="/icon-192.png">
    @viteReactRefresh
    @vite('resources/js/main.tsx')
    <link rel="modulepreload" href="{{ Vite::asset('resources/js/app/start.tsx') }}">
</head>
<body>
    <div id="gravik"></div>
    <noscript>Gravik plays and measures in the browser, so it needs JavaScript. Please turn it on for this page.</noscript>
</body>
</html>
