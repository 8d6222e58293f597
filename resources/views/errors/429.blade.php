@include('errors.page', ['title' => 'Too many tries', 'what' => 'Wait a minute, then try again. Nothing is lost.'])
