<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <title>{{ $title }}</title>
    <style>
        @@page { size: {{ $size }}; margin: 0; }
@foreach ($faces as $face)
        @@font-face { font-family: '{{ $face['family'] }}'; font-weight: {{ $face['weight'] }}; src: url(data:font/woff2;base64,{{ $face['woff2'] }}) format('woff2');{{ $face['more'] }} }
@endforeach
        html, body { margin: 0; background: #fff; }
        .sheet { break-after: page; overflow: hidden; }
        .sheet:last-child { break-after: auto; }
        .sheet svg { display: block; }
        @@media screen {
            body { background: #e9e2d3; padding: 24px 0; }
            .sheet { width: max-content; margin: 0 auto 24px; outline: 1px solid #8b8270; }
        }
    </style>
</head>
<body>
@foreach ($pages as $page)
    <div class="sheet">{!! $page !!}</div>
@endforeach
</body>
</html>
