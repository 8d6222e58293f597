<ul>
    @foreach ($sheet['day'] as $line)
        <li>{{ $line }}</li>
    @endforeach
</ul>
