document.title = 'x'
