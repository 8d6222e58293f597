@if ($sheet['accepted'] !== [])
    <h2>Acceptance: on, off, 10 %, 80 %, colour or white</h2>
    <table>
        @foreach ($sheet['accepted'] as $row)
            <tr>
                <td>{{ $row['light'] }}</td>
                <td>{{ $row['control'] }}</td>
                <td>{{ $row['says'] }}</td>
                <td>{{ $row['at'] }}</td></tr>
        @endforeach
    </table>
@endif
@if ($sheet['facts'] !== [])
    <h2>Shown to the client, versions and backups</h2>
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
