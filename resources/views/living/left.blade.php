@if ($sheet['hiding'] !== [])
    <h2>Where each part is</h2>
    <table>
        @foreach ($sheet['hiding'] as $row)
            <tr>
                <td><b>{{ $row['label'] }}</b></td>
                <td>{{ $row['name'] }}</td>
                <td>{{ $row['where'] }}</td></tr>
        @endforeach
    </table>
@endif
@if ($sheet['board']['rows'] !== [])
    <h2>Which light answers to what</h2>
    <table>
        <tr>
            <th></th>
            @foreach ($sheet['board']['controls'] as $control)
                <th>{{ $control }}</th>
            @endforeach
        </tr>
        @foreach ($sheet['board']['rows'] as $row)
            <tr>
                <td>{{ $row['light'] }}</td>
                @foreach ($row['cells'] as $cell)
                    <td>{{ $cell }}</td>
                @endforeach
            </tr>
        @endforeach
    </table>
    <div class="small">Works: pressed on site, and it answered. A stroke: this kit cannot. Empty: it could, and is not wanted.</div>
@endif
@if ($sheet['accepted'] !== [])
    <h2>Accepted: on, off, 10 %, 80 %, colour or white</h2>
    <table>
        @foreach ($sheet['accepted'] as $row)
            <tr>
                <td>{{ $row['light'] }}</td>
                <td>by {{ $row['control'] }}</td>
                <td>{{ $row['says'] }}</td>
                <td>{{ $row['at'] }}</td></tr>
        @endforeach
    </table>
@endif
@if ($sheet['facts'] !== [])
    <h2>Shown, seen and kept</h2>
    <ul class="log">
        @foreach ($sheet['facts'] as $fact)
            <li>
                @if ($fact['kind'] === 'lesson')
                    Shown: {{ collect($sheet['lesson'])->firstWhere('key', $fact['about'])['says'] ?? $fact['about'] }}
                @elseif ($fact['kind'] === 'version')
                    {{ $fact['about'] }}: version {{ $fact['says'] }}
                @else
                    Settings of {{ $fact['about'] }}: {{ $fact['says'] }}
                @endif
                · {{ $fact['day'] }}{{ $fact['by'] === '' ? '' : ', '.$fact['by'] }}
            </li>
        @endforeach
    </ul>
@endif
